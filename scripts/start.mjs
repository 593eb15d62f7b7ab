// npm start: set up what is missing and serve the database named by JORVIX_DB, without demo data. A database that is
// not there is begun only when asked: `npm start -- --new`.
import { readyBuild, readyPackages } from './ready.mjs';
import { port, serve } from './serve.mjs';

readyPackages();
readyBuild();
serve(port(), process.env.JORVIX_DB ?? './data/jorvix.db', process.argv.includes('--new') ? { JORVIX_NEW: 'yes' } : {});
