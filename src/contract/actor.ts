import type { Role } from '@/core/account/care';

/** Who does something: every record and every change carries their id. */
export interface Actor {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

/** In whose name records stand that were made before there were accounts. */
export const BEFORE_ACCOUNTS = 'trainer';
