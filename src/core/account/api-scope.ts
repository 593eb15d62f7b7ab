/** What a program's token may be given, each by itself. */
export const API_SCOPES = [
  'clients.read',
  'clients.write',
  'kit.read',
  'plan.read',
  'plan.write',
  'records.read',
  'solve',
] as const;
/** One of them. */
export type ApiScope = (typeof API_SCOPES)[number];
