/** What an account may do: the owner runs the gym's records, a trainer works with their own clients. */
export type Role = 'owner' | 'trainer';

/** Another trainer stands in for a client's own, from a day to a day; the last day counts. Days from 1970. */
export interface Cover {
  readonly accountId: string;
  readonly fromDay: number;
  readonly untilDay: number;
  /** Called off before its last day. */
  readonly ended: boolean;
}

/** Whose client this is, and who stands in. */
export interface Care<C extends Cover = Cover> {
  /** Null: nobody's yet, seen by the owner alone. */
  readonly trainerId: string | null;
  readonly covers: readonly C[];
}

/** Whether a cover holds on a day. */
export const coversOn = (c: Cover, day: number): boolean => !c.ended && c.fromDay <= day && day <= c.untilDay;

/** Whether somebody sees a client and records for them on a day: the owner, the client's own trainer, who stands in. */
export const reachesClient = (who: { readonly id: string; readonly role: Role }, care: Care, day: number): boolean =>
  who.role === 'owner' ||
  care.trainerId === who.id ||
  care.covers.some((c) => c.accountId === who.id && coversOn(c, day));

/** Whether somebody gives a client to another trainer, or lets one stand in: the owner, and their own trainer. */
export const mayHandOver = (who: { readonly id: string; readonly role: Role }, care: Care): boolean =>
  who.role === 'owner' || care.trainerId === who.id;
