/** Why a tap could not be kept on this device, and what to do. */
export const TAP_TROUBLE = {
  'no-storage':
    'This browser gives no storage: taps go nowhere until it does. Leave private browsing or free some space.',
  'tap-lost': 'That tap could not be kept on this device. Free some space, then tap again.',
} as const;
