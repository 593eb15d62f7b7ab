import type { Role } from '@/core/account/care';

/** A device that is signed in. */
export interface DeviceView {
  readonly id: string;
  readonly device: string;
  readonly begun: string;
  readonly seen: string;
  readonly hasPin: boolean;
  /** The one that asks. */
  readonly here: boolean;
}

/** Somebody who may sign in, as the owner sees them. */
export interface PersonView {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly ended: boolean;
  readonly clients: number;
  readonly devices: readonly DeviceView[];
}

/** The page of one's own account. */
export interface AccountView {
  /** Programs that act as this account. */
  readonly tokens: readonly TokenView[];
  readonly name: string;
  readonly role: Role;
  /** Signed in with a tap: there is no passphrase to change. */
  readonly demo: boolean;
  readonly devices: readonly DeviceView[];
}

/** What a page that nobody is signed in on may know. */
export interface DoorView {
  /** Nobody is there yet: the first one is the owner. */
  readonly first: boolean;
  /** Who is asked for the PIN on this device; null where nobody is signed in on it. */
  readonly locked: { readonly name: string; readonly hasPin: boolean } | null;
  /** The demo's accounts, gone in with a tap; empty outside the demo. */
  readonly demo: readonly { readonly id: string; readonly name: string; readonly role: Role }[];
}

/** Who cares for a client. */
export interface CareView {
  readonly trainer: string | null;
  readonly covers: readonly { readonly id: string; readonly name: string; readonly until: string }[];
  /** To whom the client may be given; empty for who may not. */
  readonly others: readonly { readonly id: string; readonly name: string }[];
  readonly may: boolean;
  /** A week from today, like 2026-11-24: as long as a holiday is. */
  readonly inAWeek: string;
}

/** One change in words: who, when, what, from what to what. */
export interface ChangeView {
  readonly id: number;
  readonly when: string;
  readonly who: string;
  readonly subject: string;
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

/** A program's token as it is listed. */
export interface TokenView {
  readonly id: string;
  readonly name: string;
  readonly facts: string;
}
