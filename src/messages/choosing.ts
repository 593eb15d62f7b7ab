import type { Choice, Objection } from '@/core/book/choose';
import { missingName } from './kit';
import { NOTE_TEXT } from './notes';

const BLOCKED_TEXT: Readonly<Record<Extract<Objection, { kind: 'solver' }>['reason'], string>> = {
  range: 'too little of its range is left to this client',
  'no-column': 'no column here',
  'one-pulley': 'needs two pulleys',
  sides: 'not on this side',
  limits: 'no column here serves this body',
};

/** Why a movement cannot be chosen. */
export function objectionText(o: Objection): string {
  switch (o.kind) {
    case 'kit':
      return `no ${missingName(o.missing)} in working order here`;
    case 'note':
      return `${NOTE_TEXT[o.note].name.toLowerCase()} noted`;
    case 'solver':
      return BLOCKED_TEXT[o.reason];
  }
}

/** The one reason for which a movement stands where it does. */
export const choiceText = (c: Pick<Choice, 'loadedShare' | 'rangeDeg' | 'direct'>): string =>
  `loaded over ${Math.round(c.loadedShare * 100)} % ` +
  `of ${Math.round(c.rangeDeg)}°${c.direct ? '' : ', beside its own target'}`;

/** An empty list: nothing in the book, or nothing of the kind that was asked for. */
export const nothingText = (inBook: number): string =>
  inBook === 0 ? 'Nothing in the book is made for it.' : 'Nothing with this kit. Choose other kit above.';

/** What a movement hangs on or is held by. */
export const WITH_TEXT = {
  '': 'whatever is here',
  cable: 'a cable',
  weight: 'dumbbells, plates or a bar',
  machine: 'a machine',
  landmine: 'a landmine',
  body: 'the body itself',
} as const;

/** A worker that broke: what to do about it. */
export const NOT_WORKED_OUT = 'This could not be worked out here. Choose again; if it stays so, open the page again.';

/** A choice on the bench that this client's range cannot follow. */
export const CHOICE_TOO_SHORT =
  'With this choice the client’s range leaves too little of the movement. The drawing shows the movement without it.';
