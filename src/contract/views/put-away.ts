/** What can be put away and taken back. */
export const PUT_AWAY_KINDS = ['client', 'piece', 'gym'] as const;
/** A kind of thing that can be put away. */
export type PutAwayKind = (typeof PUT_AWAY_KINDS)[number];

/** Something that is put away. */
export interface PutAwayThing {
  readonly kind: PutAwayKind;
  readonly id: string;
  readonly name: string;
}
