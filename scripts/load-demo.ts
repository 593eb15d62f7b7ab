import { openDb } from '@/data/open-db';
import { foldNews } from '@/data/queries/folds';
import { loadFloor } from '@/server/floor';
import { loadEightWeeks } from '../demo/eight-weeks';
import { DEMO_OWNER } from '../demo/people';
import { loadSpottingPractice } from '../demo/spotting';
import { loadDemoWorld } from '../demo/world';

/** The file to write, and what names the code that solves: with it what the floor needs solved is kept there. */
const [, , file, solver] = process.argv;
if (!file) throw new Error('say which file the demo world is written to');
const db = openDb(file);
const nowMs = Date.now();
loadDemoWorld(db, nowMs);
loadEightWeeks(db, nowMs);
loadSpottingPractice(db, nowMs);
foldNews(db, -1);
if (solver) {
  process.env.JORVIX_SOLVER = solver;
  loadFloor({ db, actor: DEMO_OWNER, nowMs });
}
db.close();
