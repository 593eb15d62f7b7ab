// npm run backup: a copy of the database named by JORVIX_DB, also while it is in use.
import { backUp, backupFolder, contentsOf } from '@/data/backup';
import { checkDb } from '@/data/check-db';
import { readMigrations } from '@/data/migrate';
import { databaseFile, migrationsFolder, openDb } from '@/data/open-db';
import { contentsText, DB_TROUBLE } from '@/messages/database';

const file = databaseFile();
const trouble = checkDb(file, readMigrations(migrationsFolder()), false);
if (trouble) {
  console.error(DB_TROUBLE[trouble](file));
  process.exit(1);
}
const db = openDb(file);
const made = await backUp(db, backupFolder(file), Date.now());
console.log(`${made}\n${contentsText(contentsOf(db))}`);
db.close();
