import { checkDb } from '@/data/check-db';
import { readMigrations } from '@/data/migrate';
import { databaseFile, migrationsFolder, openDb, type Db } from '@/data/open-db';
import { DB_TROUBLE } from '@/messages/database';

/** The database named by JORVIX_DB, looked over first; one that cannot be opened ends the process with a sentence. */
export function openRecords(): { readonly db: Db; readonly file: string } {
  const file = databaseFile();
  const trouble = checkDb(file, readMigrations(migrationsFolder()), false);
  if (trouble) {
    console.error(DB_TROUBLE[trouble](file));
    process.exit(1);
  }
  return { db: openDb(file), file };
}
