// npm run seed:large: five years of a busy gym in a file of their own, for `npm run bench -- --large`.
// JORVIX_LARGE names the file; --years N makes fewer.
import { existsSync, rmSync } from 'node:fs';
import { openDb } from '@/data/open-db';
import { FIVE_YEARS, loadYears } from '../demo/five-years';
import { loadDemoWorld } from '../demo/world';

const file = process.env.JORVIX_LARGE ?? './data/large.db';
const at = process.argv.indexOf('--years');
const years = at === -1 ? FIVE_YEARS.years : Number(process.argv[at + 1]);
if (!(years > 0 && years <= 20)) {
  console.error('--years: expected a number from 1 to 20');
  process.exit(1);
}
for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) rmSync(file + end);
const began = performance.now();
const db = openDb(file);
// A file that is made anew needs no care for a power cut.
db.pragma('synchronous = OFF');
loadDemoWorld(db, Date.now());
let told = 0;
const sets = loadYears(db, Date.now(), { ...FIVE_YEARS, years }, (share, done) => {
  if (performance.now() - told < 1000) return;
  told = performance.now();
  process.stdout.write(`\r${Math.round(share * 100)} %, ${done} sets`);
});
const events = db.prepare('SELECT count(*) FROM floor_event').pluck().get() as number;
db.exec('ANALYZE');
db.close();
const seconds = Math.round((performance.now() - began) / 1000);
console.log(`\r${sets} sets, ${events} records in ${file}, ${seconds} s`);
