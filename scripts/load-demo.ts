import { openDb } from '@/data/open-db';
import { foldNews } from '@/data/queries/folds';
import { loadEightWeeks } from '../demo/eight-weeks';
import { loadDemoWorld } from '../demo/world';

const db = openDb(process.env.JORVIX_DB ?? './data/demo.db');
const nowMs = Date.now();
loadDemoWorld(db, nowMs);
loadEightWeeks(db, nowMs);
foldNews(db, -1);
db.close();
