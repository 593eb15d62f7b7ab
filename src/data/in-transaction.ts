import type Database from 'better-sqlite3';

/**
 * Do all of something or nothing. The right to write is taken at the start: two processes write to the records, and one
 * that reads first and then writes would be refused where the other wrote between.
 */
export const inTransaction = <T>(db: Database.Database, does: () => T): T => db.transaction(does).immediate();
