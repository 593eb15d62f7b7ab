import type { CautionCode } from '@/core/book/caution-code';

export type CautionPlace = 'hole' | 'mark' | 'handle' | 'bench' | 'load' | 'range' | 'set';

/** Cautions beside the setting they concern. `at` names that setting. */
export const CAUTION: Readonly<Record<CautionCode, { readonly at: CautionPlace; readonly text: string }>> = {
  'carriage-pin': { at: 'hole', text: 'Carriage pins and selector pins fully in before any load.' },
  'carabiner-and-cable': { at: 'handle', text: 'Carabiners closed, cables free of frays.' },
  'floor-clear': { at: 'mark', text: 'Floor clear for a step forwards and back.' },
  'bench-pins': { at: 'bench', text: 'Seat and back pins fully in; rock the bench once before weight comes on it.' },
  'block-slips': { at: 'bench', text: 'The block sits flat and cannot slip; lean on the bench before lying down.' },
  collars: { at: 'load', text: 'Collars on, the same on both ends.' },
  'deep-shoulder-stretch': {
    at: 'range',
    text:
      'Stop the stretch where the shoulders still stay down. The weight must not take the arm further ' +
      'than the client can.',
  },
  'handles-behind-chest': { at: 'range', text: 'Start stop set so that the handles never come behind the chest.' },
  'shoulder-forward': {
    at: 'range',
    text: 'End the pull before the shoulder is drawn forward; the front of it should stay open.',
  },
  'preacher-bottom': {
    at: 'range',
    text: 'Stop short of a straight elbow: the bottom of the pad is where the tendon takes it all.',
  },
  'no-lockout': {
    at: 'range',
    text: 'Stop just short of straight; nothing is gained by locking the joint under load.',
  },
  'knee-on-axis': { at: 'bench', text: 'Knee on the machine’s axis: a gap behind it loads the joint.' },
  'round-spine': { at: 'range', text: 'No load on a fully rounded back: end the range where its shape would change.' },
  'bar-on-pins': { at: 'set', text: 'Set the bar down each rep; never drop it onto the pins.' },
  breathe: { at: 'set', text: 'Keep breathing through holds; with a blood-pressure note keep them short.' },
  straddle: {
    at: 'bench',
    text: 'With an abdominal or groin history keep both feet down instead of a knee on the bench.',
  },
  'stop-signs': {
    at: 'set',
    text:
      'Sharp pain, numbness, tingling, dizziness, chest pain or unusual breathlessness: stop at once, ' +
      'follow your facility’s emergency procedure, refer to a physician or physiotherapist.',
  },
};

/** Shown when a set is stopped for pain. Never a diagnosis. */
export const PAIN_ADVICE: readonly string[] = [
  'Put the handles down and end this movement for today.',
  'Follow your facility’s procedure. Chest pain, unusual breathlessness, dizziness, numbness or ' +
    'tingling: emergency procedure now.',
  'Write down what the client says in their own words. What it is, a physician or physiotherapist decides.',
];
