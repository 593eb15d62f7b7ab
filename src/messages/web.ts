/** Why a request is not served. */
export const REFUSED_REQUEST = {
  host: 'This server does not go by that name. Open it under the address that it told when it started.',
  origin: 'Only pages of this application may write here.',
  length: 'A write says how long it is (content-length).',
  size: 'Expected at most two megabytes.',
  json: 'Expected application/json, or text/csv for a spreadsheet.',
} as const;

/** That the solver has too much to do. */
export const SOLVER_BUSY = 'The solver is busy. Send this again in a minute.';

/** That the server is up and cannot serve this yet. */
export const NOT_NOW = 'The pages are starting. Try again in a moment; what was tapped is kept on this device.';
