import type { Choice, Objection } from '@/core/book/choose';
import { missingName } from './kit';
import { NOTE_TEXT } from './notes';
import { percent } from './numbers';

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

/** The two figures that place a movement, and which of them does. */
export function choiceText(c: Pick<Choice, 'demand' | 'covered' | 'stretched' | 'by' | 'direct'>): string {
  const beside = c.direct ? '' : ', beside its own target';
  if (c.covered === 0) return `not worked out for it${beside}`;
  const demand = `works at ${percent(c.demand)} of its hardest`;
  const range = `through ${percent(c.covered)} of its length`;
  const stretch = `${percent(c.stretched)} of that in the stretch`;
  const [first, then] = c.by === 'demand' ? [demand, `${range} (${stretch})`] : [`${range} (${stretch})`, demand];
  return `${first}; ${then}${beside}`;
}

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
