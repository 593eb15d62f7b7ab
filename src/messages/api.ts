import type { ApiScope } from '@/core/account/api-scope';

/** What each operation does, for who reads the document. */
export const API_SUMMARY = {
  allClients: 'Clients in the care of whose token it is, by name',
  addClient: 'Enter a client; sent twice with one Idempotency-Key it is one',
  getClient: 'One client',
  listSets: 'A client’s sets with their faults, in the order they were last told: one that is corrected comes again',
  listEvents: 'What was tapped for a client, in the order it came',
  listSetups: 'A client’s set-ups as they were used last, by movement and side',
  getLedger: 'What keeps coming back for a client',
  listKit: 'Kit of every gym',
  allGyms: 'Gyms',
  addKit: 'Enter a piece of kit; sent twice with one Idempotency-Key it is one',
  changeKit: 'Put what was measured of a piece of kit in the place of what stands there',
  recordEvents: 'Record what was tapped, or a set-up as it was used; an id that is on record is left as it is',
  listMovements: 'Movements of the book',
  allSessions: 'Sessions that start in a span of days, earliest first',
  planSession: 'Plan a session; sent twice with one Idempotency-Key it is one',
  getSession: 'One session',
  solve: 'Solve a case of the open case format',
} as const;

/** What is said of the whole document. */
export const API_TEXT = {
  title: 'Jorvix',
  description:
    'Clients, kit, plans and records of one gym’s computer. A token is made on the account page and sent as ' +
    '“Authorization: Bearer …”; it sees what its trainer sees, as far as its scopes reach. Lists go on with “next” ' +
    'as “cursor”. What cannot be done is told as a problem (RFC 9457). Answers carry an ETag.',
  token: 'A token of the account page',
} as const;

/** What is wrong with a call. */
export const API_PROBLEM = {
  400: 'The call is not as the document says',
  401: 'A token is needed',
  403: 'This token may not do that',
  404: 'There is none of that id, or none in the care of whose token it is',
  405: 'This address takes other methods',
  address: 'There is no such address',
  422: 'It cannot be done',
} as const;

/** What is expected of parts of a call. */
export const API_EXPECTED = {
  cursor: 'expected what a list here said as “next”',
  span: 'expected a day on or after “from”, within a year of it',
  json: 'expected JSON',
  key: 'expected a UUID',
} as const;

/** What a scope lets a program do. */
export const SCOPE_TEXT: Readonly<Record<ApiScope, string>> = {
  'clients.read': 'see clients',
  'clients.write': 'enter clients',
  'kit.read': 'see kit and movements',
  'kit.write': 'enter and change kit',
  'plan.read': 'see sessions',
  'plan.write': 'plan sessions',
  'records.read': 'see sets, set-ups, faults and taps',
  'records.write': 'record taps and set-ups',
  solve: 'solve set-ups',
};

/** What the account page says of programs. */
export const API_TOKENS = {
  title: 'Programs',
  text:
    'A program reads and plans with a token, as this account and no further than it is let. What it can ask is ' +
    'described in /api/v1/openapi.json.',
  name: 'Name of the program',
  scopes: 'It may',
  make: 'Make a token',
  made: 'Copy the token now: it is shown this once.',
  token: 'Token',
  none: 'No program has a token.',
  facts: (scopes: string, made: string, used: string | null): string =>
    `${scopes}; made ${made}, ${used === null ? 'never used' : `last used ${used}`}`,
  end: 'End',
  endName: (name: string): string => `End the token of ${name}`,
} as const;
