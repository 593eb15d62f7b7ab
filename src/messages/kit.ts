import type { KitKind } from '@/core/kit/kit-kind';
import type { AttachmentKind } from '@/core/kit/attachment';
import type { MachineKind } from '@/core/kit/machine';

/** One piece, and the heading over several. */
export const KIT_NAME: Readonly<Record<KitKind, { readonly one: string; readonly many: string }>> = {
  column: { one: 'columns', many: 'Cable columns' },
  attachment: { one: 'handle', many: 'Handles' },
  bench: { one: 'bench', many: 'Benches' },
  preacher: { one: 'preacher bench', many: 'Preacher benches' },
  machine: { one: 'machine', many: 'Machines' },
  dumbbells: { one: 'dumbbell rack', many: 'Dumbbells' },
  plates: { one: 'plates', many: 'Plates' },
  bar: { one: 'bar', many: 'Bars' },
  landmine: { one: 'landmine', many: 'Landmines' },
  band: { one: 'band', many: 'Bands' },
  'strap-anchor': { one: 'strap anchor', many: 'Strap anchors' },
};

/** What serves when a piece is missing or out of order (common practice). */
export const KIT_STAND_IN: Readonly<Record<KitKind, string>> = {
  column: 'Another column of the gym, solved again; else dumbbells or a band, with another curve.',
  attachment: 'Another handle: its length changes the cable that is out, so set up again.',
  bench: 'Half-kneeling with the hand on the front knee.',
  preacher: 'An incline bench with the back of the arm on it, and a low cable.',
  machine: 'Dumbbells; failing those a strap or a band.',
  dumbbells: 'A cable column, or a band.',
  plates: 'A stack, or dumbbells.',
  bar: 'Dumbbells, one in each hand.',
  landmine: 'A dumbbell row with a hand on the bench.',
  band: 'A lighter cable.',
  'strap-anchor': 'A cable with a handle, or a band.',
};

export const ATTACHMENT_NAME: Readonly<Record<AttachmentKind, string>> = {
  'd-handle': 'D-handle',
  rope: 'rope',
  'half-rope': 'half rope',
  'straight-bar': 'straight bar',
  'v-bar': 'V-bar',
  'cambered-bar': 'cambered bar',
  'long-bar': 'long bar',
  'ankle-cuff': 'ankle cuff',
  'bare-end': 'bare cable end',
  own: 'the gym’s own',
};

/** What common kit is called until the gym names it. */
export const STARTER_NAME = {
  'd-handle': 'Handle',
  rope: 'Rope',
  'half-rope': 'Half rope',
  'straight-bar': 'Straight bar',
  'v-bar': 'V-bar',
  'cambered-bar': 'Cambered bar',
  'long-bar': 'Long bar',
  'ankle-cuff': 'Ankle cuff',
  'flat-bench': 'Flat bench',
  'stepped-bench': 'Bench with a stepped back',
  dumbbells: 'Dumbbells',
  bar: 'Barbell',
  plates: 'Plates',
  landmine: 'Landmine',
} as const;

export const MACHINE_NAME: Readonly<Record<MachineKind, string>> = {
  'leg-extension': 'leg extension',
  'leg-curl': 'seated leg curl',
  'leg-press': 'leg press',
  'chest-press': 'chest press',
  'chest-fly': 'chest fly',
  'reverse-fly': 'reverse fly',
  pullover: 'pullover',
  'shoulder-press': 'shoulder press',
};

/** Checks before loading, beside the piece that they concern (common practice). */
export const KIT_CAUTION: Readonly<Record<KitKind, string>> = {
  column: 'Carriage and selector pins fully in, cable free of frays.',
  attachment: 'Carabiner closed before any load.',
  bench: 'Back and seat pins fully in; a block must not slip.',
  preacher: 'Seat pin fully in. Stop short of a straight elbow under load.',
  machine: 'All pins fully in. The joint sits on the axis, or the joint takes what the muscle should.',
  dumbbells: 'Heads tight, floor clear.',
  plates: 'Collars on.',
  bar: 'Collars on; set the bar down, do not drop it onto pins.',
  landmine: 'Pivot weighted or fixed, plates collared, nobody in the bar’s arc.',
  band: 'No nicks; anchored where it cannot slip off.',
  'strap-anchor': 'Anchor checked for the whole body’s weight.',
};

/** Kit or a machine by name. */
export const missingName = (n: KitKind | MachineKind): string =>
  n in KIT_NAME ? KIT_NAME[n as KitKind].one : MACHINE_NAME[n as MachineKind];

/** What the first gym is called until it is given a name. */
export const FIRST_GYM_NAME = 'My gym';

/** How far a notch is from the angle asked, degrees. */
export const notchOffText = (offDeg: number): string =>
  Math.abs(offDeg) < 0.5 ? 'exact' : `${Math.abs(offDeg).toFixed(0)}° ${offDeg > 0 ? 'steeper' : 'flatter'}`;
