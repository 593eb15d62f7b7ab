/** Why something about accounts was not done. */
export const ACCOUNT_REFUSAL = {
  notYours: 'Only the owner may do this.',
  taken: 'expected a name that nobody here has yet',
  wrong: 'Name and passphrase do not belong together.',
  wrongSecret: 'That is not it.',
  signedOut: 'Too many tries: this device is signed out. Sign in with the passphrase.',
  wait: (ms: number): string => {
    const seconds = Math.ceil(ms / 1000);
    return seconds < 90
      ? `Too many tries. Try again in ${seconds} seconds.`
      : `Too many tries. Try again in ${Math.ceil(seconds / 60)} minutes.`;
  },
  nobody: 'expected somebody on the list',
  ownerStays: 'The last owner cannot be ended.',
  alreadyBegun: 'There is an owner already: sign in.',
  notDemo: 'Only the demo is entered with a tap.',
  noPassphrase: 'A demo account has no passphrase.',
  ahead: 'expected today or a day after',
  noClient: 'This client is not in your care.',
} as const;

/** What is said where a passphrase is set at the machine itself. */
export const AT_MACHINE = {
  who: 'Say whose passphrase: npm run passphrase -- "Name"',
  nobody: (name: string): string => `Nobody here is called “${name}”.`,
  ask: (name: string): string => `New passphrase for ${name} (at least 15 characters): `,
  weak: (expected: string): string => `Not set: ${expected}.`,
  done: (name: string): string => `Set. ${name} signs in anew on every device.`,
} as const;

/** What a device is called that has no name. */
export const DEVICE = 'Device';
