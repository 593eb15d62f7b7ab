// npm run passphrase -- "Name": a new passphrase for somebody who forgot theirs, at the machine itself, in the database
// named by JORVIX_DB. It is read from the terminal, or from standard input.
import { createInterface } from 'node:readline/promises';
import { databaseFile, openDb } from '@/data/open-db';
import { AT_MACHINE } from '@/messages/accounts';
import { setPassphraseAtMachine } from '@/server/accounts';

async function main(): Promise<void> {
  const name = process.argv.slice(2).join(' ').trim();
  if (name === '') throw new Error(AT_MACHINE.who);
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const typed = await terminal.question(AT_MACHINE.ask(name));
  terminal.close();
  const db = openDb(databaseFile());
  console.log(`\n${await setPassphraseAtMachine(db, name, typed, Date.now())}`);
  db.close();
}
void main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
