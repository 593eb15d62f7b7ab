/** Why nothing was saved, and the way out: what was typed stays on the page. */
export const SAVE_TROUBLE = {
  signedOut: 'Not saved: you are signed out here. Sign in, and what was typed is back on this page; then save again.',
  full: 'Not saved: the server’s disk is full. Make room there, then save again.',
  readOnly: 'Not saved: the server may only read its database. Give it leave to write, then save again.',
  unwritable: 'Not saved: the server cannot write its database just now. Try again; what was typed stays here.',
  offline: 'Not saved: there is no way to the server. What was typed stays here; save again once the network is back.',
  upgraded:
    'Not saved: the server was renewed since this page was opened. Load the page again; what was typed comes back.',
  refused: 'Not saved: the server refused it. Load the page again, and tell the owner if it happens twice.',
} as const;

/** Why nothing was saved, by code. */
export type SaveTrouble = keyof typeof SAVE_TROUBLE;
