// npm run backup: a copy of the database named by JORVIX_DB, also while it is in use.
import { backUp, backupFolder, contentsOf } from '@/data/backup';
import { contentsText } from '@/messages/database';
import { openRecords } from './open-records';

async function main(): Promise<void> {
  const { db, file } = openRecords();
  const made = await backUp(file, backupFolder(file), Date.now());
  console.log(`${made}\n${contentsText(contentsOf(db))}`);
  db.close();
}
void main();
