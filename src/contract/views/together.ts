import type { Choice } from './plan';

/** What one of two sets at a movement: what is planned, and what is set on steel; null where it is not theirs. */
export interface TogetherSide {
  readonly itemId: string;
  readonly says: string;
  readonly settings: readonly string[];
  /** Why there is nothing to set. */
  readonly blocked: string | null;
}

/** A movement of two who train together. */
export interface TogetherRow {
  readonly name: string;
  readonly sides: readonly [TogetherSide | null, TogetherSide | null];
  /** What is changed from the first one's set-up to the second one's, one line each. */
  readonly changes: readonly string[];
  /** Seconds of the change; null where only one of them does it. */
  readonly seconds: number | null;
}

/** Two sessions that are trained together. */
export interface TogetherView {
  readonly sessionIds: readonly [string, string];
  readonly names: readonly [string, string];
  readonly when: string;
  readonly rows: readonly TogetherRow[];
  /** Minutes of both together and of each alone, and those that there are. */
  readonly minutes: number;
  readonly alone: readonly [number, number];
  readonly of: number;
}

/** Who a session is trained together with, and who it could be. */
export interface TogetherChoice {
  readonly partner: string | null;
  readonly clients: readonly Choice[];
}
