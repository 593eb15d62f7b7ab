/** What a program's token may be given, each by itself. */
export const API_SCOPES = [
  'clients.read',
  'clients.write',
  'kit.read',
  'kit.write',
  'plan.read',
  'plan.write',
  'records.read',
  'records.write',
  'solve',
] as const;
/** One of them. */
export type ApiScope = (typeof API_SCOPES)[number];
