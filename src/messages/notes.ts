import type { ClientNote, LimitNote } from '@/core/body/client-note';
import type { ScreeningState } from '@/core/body/screening';

/** Observations by name, and what each changes or asks for. Never a diagnosis. */
export const NOTE_TEXT: Readonly<Record<ClientNote, { readonly name: string; readonly does: string }>> = {
  shoulder: { name: 'Shoulder', does: 'Loaded stretches stop level with the trunk; rows keep the blade set.' },
  elbow: { name: 'Elbow', does: 'No straight elbow under load; the grip that feels easy goes first.' },
  'low-back': { name: 'Low back', does: 'Trunk still, ribs down; lighter before the back opens.' },
  knee: { name: 'Knee', does: 'Knee on the axis, no lockout, depth by active range.' },
  'abdomen-or-groin': { name: 'Abdomen or groin', does: 'Both feet down: no knee on the bench.' },
  'blood-pressure': { name: 'Blood pressure', does: 'No holds over 2 s and no held breath.' },
  'first-month': { name: 'First month', does: 'Rows keep the blade set; form before load.' },
  pregnancy: { name: 'Pregnancy', does: 'Only within the clinician’s limits: enter them before loading.' },
  'recent-surgery': { name: 'Recent surgery', does: 'Only within the clinician’s limits: enter them before loading.' },
  'under-18': { name: 'Under 18', does: 'By the facility’s procedure and only within the clinician’s limits.' },
  'does-not-feel': { name: 'Does not feel a region yet', does: 'One arm at a time, light, before the heavy work.' },
  'left-weaker': { name: 'Left side weaker', does: 'The left side goes first where sides work one at a time.' },
  'rounded-shoulders': {
    name: 'Rounded shoulders',
    does: 'A chest stretch is proposed before heavy rows.',
  },
  'right-weaker': { name: 'Right side weaker', does: 'The right side goes first where sides work one at a time.' },
};

/** Notes that want a clinician's limit for a movement, which is not there. */
export const missingLimitText = (missing: readonly LimitNote[]): string =>
  `${missing.map((n) => NOTE_TEXT[n].name).join(', ')}: no clinician’s limit covers this movement. Enter one on the ` +
  'client sheet, or record on the set screen why it goes ahead without.';

const days = (n: number): string => `${n} ${n === 1 ? 'day' : 'days'}`;

/** What a screening's state asks for; null when it stands. */
export function screeningText(state: ScreeningState): string | null {
  if (state.state === 'missing')
    return 'No screening on record. Follow the facility’s procedure before loading, and enter that it was done.';
  if (state.state === 'old')
    return (
      `The screening on record is ${days(state.daysOver)} over this gym’s limit. Follow the ` +
      'facility’s procedure, and enter the new one.'
    );
  return null;
}
