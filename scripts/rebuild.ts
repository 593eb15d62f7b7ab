// npm run rebuild: what the records of the database named by JORVIX_DB tell is folded anew, all of it.
import { foldSome, forgetFolds } from '@/data/queries/folds';
import { rebuiltText } from '@/messages/database';
import { openRecords } from './open-records';

const { db } = openRecords();
forgetFolds(db);
let done = 0;
for (let some = foldSome(db, 200); some > 0; some = foldSome(db, 200)) {
  done += some;
  process.stdout.write(`\r${rebuiltText(done)}`);
}
console.log(`\r${rebuiltText(done)}`);
db.close();
