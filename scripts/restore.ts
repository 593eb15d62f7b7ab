// npm run restore -- [file]: puts a backup, by default the newest, in the place of the database named by JORVIX_DB.
// Shows what the file holds; `--yes` does it. What was there is kept under another name.
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { backupFolder, contentsOf, listBackups, restore } from '@/data/backup';
import { checkDb } from '@/data/check-db';
import { readMigrations } from '@/data/migrate';
import { databaseFile, migrationsFolder } from '@/data/open-db';
import { contentsText, DB_TROUBLE, RESTORE } from '@/messages/database';

function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

const file = databaseFile();
const folder = backupFolder(file);
const [newest] = listBackups(folder);
const from = process.argv.slice(2).find((a) => a !== '--yes') ?? (newest && join(folder, newest));
if (!from) refuse(RESTORE.none(folder));
const migrations = readMigrations(migrationsFolder());
const trouble = checkDb(from, migrations, false);
if (trouble) refuse(DB_TROUBLE[trouble](from));
const copy = new Database(from, { readonly: true });
console.log(`${from}\n${contentsText(contentsOf(copy))}`);
copy.close();
if (!process.argv.includes('--yes')) {
  console.log(RESTORE.ask(file));
  process.exit(0);
}
const done = restore(from, file, migrations, Date.now());
if (!done.ok) refuse(done.why === 'in-use' ? RESTORE.inUse(file) : DB_TROUBLE[done.why](from));
console.log(RESTORE.done(file, done.replaced));
