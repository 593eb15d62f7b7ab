/** Why a tap could not be kept on this device, and what to do. */
export const TAP_TROUBLE = {
  'no-storage':
    'This browser gives no storage: taps go nowhere until it does. Leave private browsing or free some space.',
  'tap-lost': 'That tap could not be kept on this device. Free some space, then tap again.',
} as const;

/** Why the server could not keep a delivery, and what to do there. */
export const STORAGE_TROUBLE = {
  full: 'the server’s disk is full: free some space there',
  readOnly: 'the server’s database is read-only: give it leave to write',
  unwritable: 'the server’s database cannot be written now',
} as const;
