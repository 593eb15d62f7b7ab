import { openDb } from '@/data/open-db';
import { loadDemoWorld } from '../demo/world';

const db = openDb(process.env.JORVIX_DB ?? './data/demo.db');
loadDemoWorld(db, Date.now());
db.close();
