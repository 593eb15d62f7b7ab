import { openDb } from '@/data/open-db';
import { foldNews } from '@/data/queries/folds';
import { loadEightWeeks } from '../demo/eight-weeks';
import { loadSpottingPractice } from '../demo/spotting';
import { loadDemoWorld } from '../demo/world';

/** The file to write, as told. */
const [, , file] = process.argv;
if (!file) throw new Error('say which file the demo world is written to');
const db = openDb(file);
const nowMs = Date.now();
loadDemoWorld(db, nowMs);
loadEightWeeks(db, nowMs);
loadSpottingPractice(db, nowMs);
foldNews(db, -1);
db.close();
