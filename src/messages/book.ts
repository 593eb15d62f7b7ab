import type { Side, WorkingSide } from '@/core/body/side';
import { BOOK } from '@/core/book/book';
import type { EntryText, Facing, Group, PostureRule } from '@/core/book/book-entry';

export const GROUP_NAME: Readonly<Record<Group, string>> = {
  chest: 'Chest',
  rows: 'Back, rows',
  pulldowns: 'Back, pulldowns and hinges',
  deltoids: 'Deltoids',
  biceps: 'Biceps',
  triceps: 'Triceps',
  legs: 'Legs',
  before: 'Before the work',
};

/** Names, how it is set, and a cue, by movement: each stands with its entry. */
export const BOOK_TEXT: Readonly<Record<string, EntryText>> = Object.fromEntries(BOOK.map((e) => [e.id, e.text]));

export const movementName = (id: string): string => BOOK_TEXT[id]?.name ?? id;

const FACING_TEXT: Readonly<Record<Facing, string>> = {
  away: 'facing away from the column',
  towards: 'facing the column',
  'working-side': 'working side to the column',
  'free-side': 'free side to the column',
  'half-away': 'turned 45° off the column, free side nearer',
};
export const facingText = (f: Facing): string => FACING_TEXT[f];

/** A posture in a few words. */
export function postureText(p: PostureRule): string {
  switch (p.kind) {
    case 'standing':
      return 'standing';
    case 'staggered':
      return 'staggered stance';
    case 'wide':
      return 'wide stance';
    case 'hinged':
      return `hinged, trunk ${p.trunkDeg}° above level`;
    case 'stooped':
      return 'bent over the pad until the armpit meets it';
    case 'hip-pad':
      return 'hips on the pad, heels held';
    case 'half-kneeling':
      return `half-kneeling on the ${p.down === 'working' ? 'working' : 'other'} side’s knee`;
    case 'tall-kneeling':
      return 'kneeling on both knees';
    case 'seated':
      return p.on === 'bench' ? `seated, back ${p.backDeg}°` : p.on === 'low' ? 'seated low' : 'seated on the floor';
    case 'lying':
      return p.on === 'free-side'
        ? `lying on the free side, bench ${p.backDeg}°`
        : `lying on the ${p.on}, bench ${p.backDeg}°`;
    case 'hand-and-knee':
      return 'hand and knee on a bench';
    case 'hand-on-bench':
      return 'one hand on a bench, both feet down';
    case 'forearm-on-thigh':
      return 'split stance, forearm on the thigh';
    case 'plank':
      return 'plank';
    case 'hanging':
      return 'hanging';
    case 'leg-machine':
      return 'seated in the machine';
  }
}

/** Which side works, of one that has two. */
export const sideName = (side: Side): string => `${side} side`;
/** The way to the other side. */
export const toSideText = (side: WorkingSide): string => `To the ${side} side`;

/** What is done: the movement, in which way, and with which side where one works at a time. */
export const doneName = (movement: string, side: WorkingSide, variant: string | null = null): string =>
  [movementName(movement), variant, side === 'both' ? null : sideName(side)].filter(Boolean).join(', ');
