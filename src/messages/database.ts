import type { RecordCounts } from '@/core/record/record-counts';
import { moment } from './day';

/** Why a database cannot be opened, and the way out. */
export const DB_TROUBLE = {
  missing: (file: string): string =>
    `There is no database at ${file}. Say where it is with JORVIX_DB, restore a backup with “npm run restore”, ` +
    'or begin a new one with “npm start -- --new”.',
  'no-database': (file: string): string => `${file} is not a database. Restore a backup with “npm run restore”.`,
  foreign: (file: string): string =>
    `${file} belongs to another program. Say with JORVIX_DB where Jorvix keeps its own.`,
  newer: (file: string): string =>
    `${file} was written by a newer Jorvix. Start that one, or restore a backup from before with “npm run restore”.`,
  changed: (file: string): string =>
    `${file} was made by a Jorvix whose history was changed since. Start the one that made it, or restore a backup.`,
  broken: (file: string): string =>
    `${file} is damaged: part of it is missing or overwritten. Restore the newest backup with “npm run restore”.`,
  'read-only': (file: string): string =>
    `${file} cannot be written. Give this account leave to write it and its folder.`,
  unreadable: (file: string): string =>
    `${file} cannot be opened. See whether this account may read it and its folder.`,
} as const;

/** That something else listens there. */
export const portTaken = (port: number): string =>
  `Port ${port} is taken. Stop what listens there, or choose another one with PORT.`;

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** What a database holds, in a line. */
export function contentsText({ gyms, clients, sessions, events, newestMs }: RecordCounts): string {
  const newest = newestMs === null ? 'nothing tapped yet' : `newest tap ${moment(newestMs)}`;
  return (
    `${count(gyms, 'gym', 'gyms')}, ${count(clients, 'client', 'clients')}, ` +
    `${count(sessions, 'session', 'sessions')}, ${count(events, 'tap', 'taps')}; ${newest}`
  );
}

/** What a restore says. */
export const RESTORE = {
  none: (folder: string): string => `There is no backup in ${folder}. Name a file: npm run restore -- path/to/file`,
  ask: (file: string): string => `It would take the place of ${file}. To do it, say it again with --yes.`,
  inUse: (file: string): string => `${file} is open. Stop Jorvix first, then restore.`,
  stillRead: 'Something still reads the records, such as a backup. Nothing was changed: try again in a moment.',
  done: (file: string, replaced: string | null): string =>
    `Restored to ${file}.${replaced === null ? '' : ` What was there is kept as ${replaced}.`}`,
} as const;

/** How far a rebuild has come. */
export const rebuiltText = (movements: number): string => `${movements} planned movements folded`;
