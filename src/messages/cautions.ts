import type { CautionCode } from '@/core/movement/movement';

/** Cautions beside the setting they concern. `at` names that setting. */
export const CAUTION: Readonly<Record<CautionCode, { readonly at: 'hole' | 'mark' | 'handle' | 'range' | 'set'; readonly text: string }>> = {
  'deep-shoulder-stretch': { at: 'range', text: 'Stop the stretch where the shoulders still stay down. The weight must not take the arm further than the client can.' },
  'carriage-pin': { at: 'hole', text: 'Both carriage pins and both selector pins fully in before any load.' },
  'carabiner-and-cable': { at: 'handle', text: 'Carabiners closed, cables free of frays.' },
  'floor-clear': { at: 'mark', text: 'Floor clear for a step forwards and back.' },
  'stop-signs': {
    at: 'set',
    text: 'Sharp pain, numbness, tingling, dizziness, chest pain or unusual breathlessness: stop at once, follow your facility’s emergency procedure, refer to a physician or physiotherapist.',
  },
};

/** Shown when a set is stopped for pain. Never a diagnosis. */
export const PAIN_ADVICE: readonly string[] = [
  'Put the handles down and end this movement for today.',
  'Follow your facility’s procedure. Chest pain, unusual breathlessness, dizziness, numbness or tingling: emergency procedure now.',
  'Write down what the client says in their own words. What it is, a physician or physiotherapist decides.',
];
