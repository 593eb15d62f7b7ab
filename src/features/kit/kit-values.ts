import type { KitKind } from '@/core/kit/kit-kind';
import { usualAttachment } from '@/contract/starter-kit';
import type { KitPiece } from '@/contract/views/kit';
import { KIT_FIELDS, type KitField, type SpecValues } from './kit-fields';

export interface KitValues extends Record<string, unknown> {
  name: string;
  outOfOrder: string;
  kind: KitKind;
  spec: SpecValues;
}

/** What a new piece starts from where there is nothing to measure. */
const USUAL: Readonly<Partial<Record<KitKind, SpecValues>>> = {
  column: {
    columnKind: 'twin',
    numberedFrom: 'bottom',
    leftNumbering: 'same',
    leftNumberedFrom: 'bottom',
    swingDeg: 0,
    pulleyRatio: 1,
    clearanceCm: 5,
    travelCm: 300,
    floorPlateCm: 0,
    minDistanceCm: -30,
    maxDistanceCm: 200,
    stackUnit: 'kg',
  },
  attachment: usualAttachment('d-handle'),
  preacher: { numberedFrom: 'bottom' },
  machine: {
    machineKind: 'leg-extension',
    independentArms: 'no',
    seatNumberedFrom: 'bottom',
    backNumberedFrom: 'bottom',
    pathKind: 'arc',
    stackUnit: 'kg',
  },
  dumbbells: { unit: 'kg' },
  plates: { unit: 'kg', pairs: 4 },
};

const emptyRow = (f: Extract<KitField, { type: 'rows' }>): SpecValues =>
  Object.fromEntries(f.columns.map((c) => [c.key, '']));

function toField(f: KitField, stored: unknown): unknown {
  switch (f.type) {
    case 'rows': {
      const rows = Array.isArray(stored) ? stored.map((r: unknown) => ({ ...(r as object) })) : [];
      while (rows.length < f.least) rows.push(emptyRow(f));
      return rows;
    }
    case 'list':
      return Array.isArray(stored) ? stored.join(' ') : '';
    case 'choice':
      return stored ?? f.of[0]!.value;
    case 'number':
      return stored ?? '';
  }
}

/** Form values of a piece, or of a new one of a kind: every field has a value, an empty box is ''. */
export function toKitValues(kind: KitKind, piece: KitPiece | null): KitValues {
  const stored = (piece?.spec as SpecValues | undefined) ?? USUAL[kind] ?? {};
  const fields = KIT_FIELDS[kind].flatMap((s) => s.fields);
  return {
    name: piece?.name ?? '',
    outOfOrder: piece?.outOfOrder ? 'yes' : 'no',
    kind,
    spec: Object.fromEntries(fields.map((f) => [f.key, toField(f, stored[f.key])])),
  };
}

export const newRow = emptyRow;
