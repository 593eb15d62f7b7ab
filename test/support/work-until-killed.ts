// Started by test/kill-saves.test.ts: saves a client sheet, backs up, restores, or takes in what is staged, over and
// over until it is killed.
// Says what is done on standard output, once it is.
import { writeSync } from 'node:fs';
import { join } from 'node:path';
import { backUp, backupFolder, listBackups, restore } from '@/data/backup';
import { readMigrations } from '@/data/migrate';
import { migrationsFolder, openDb } from '@/data/open-db';
import { inTransaction } from '@/data/in-transaction';
import { findClient } from '@/data/queries/clients';
import { takeStaged } from '@/data/records-in';
import { saveClientForm } from '@/server/clients';
import { CLIENT } from './forms';

const [file = '', what = ''] = process.argv.slice(2);
const say = (line: string): void => void writeSync(1, `${line}\n`);
const id = '00000000-0000-4000-8000-000000000001';

const actor = { id: 'owner', name: 'Owner', role: 'owner' } as const;

async function work(): Promise<never> {
  if (what === 'save') {
    const db = openDb(file);
    for (let n = Number(findClient(db, id)?.note ?? 0) + 1; ; n++) {
      const saved = saveClientForm({ db, actor, nowMs: Date.now() }, id, {
        ...CLIENT,
        note: String(n),
        massKg: 60 + (n % 40),
      });
      if (!saved.ok) throw new Error(JSON.stringify(saved.issues));
      say(String(n));
    }
  }
  if (what === 'backup') {
    openDb(file);
    for (let n = Date.now(); ; n++) say(await backUp(file, backupFolder(file), n));
  }
  if (what === 'restore') {
    const migrations = readMigrations(migrationsFolder());
    const folder = backupFolder(file);
    for (let n = Date.now(); ; n++) {
      const done = restore(join(folder, listBackups(folder)[n % 2]!), file, migrations, n);
      if (!done.ok) throw new Error(done.why);
      say('restored');
    }
  }
  if (what === 'import') {
    const db = openDb(file);
    for (;;) {
      takeStaged(db, `${file}.staged`);
      say('taken');
      inTransaction(db, () => db.exec('DELETE FROM session; DELETE FROM client; DELETE FROM gym'));
      say('let go');
    }
  }
  throw new Error(`expected save, backup, restore or import, got ${what}`);
}
void work();
