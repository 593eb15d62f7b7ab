// npm start: set up what is missing and serve the database named by JORVIX_DB, without demo data. A database that is
// not there is begun only when asked: `npm start -- --new`; `npm start -- -H 192.168.1.20` serves the gym's network.
import { readyBuild, readyPackages } from './ready.mjs';
import { port, serve } from './serve.mjs';

/** What follows -H: the address of this machine to serve on, so that the gym's network reaches it. */
const at = process.argv.indexOf('-H');
if (at > 0) process.env.JORVIX_HOST = process.argv[at + 1] ?? '';

const compiled = readyPackages();
readyBuild();
await compiled;
serve(port(), process.env.JORVIX_DB ?? './data/jorvix.db', process.argv.includes('--new') ? { JORVIX_NEW: 'yes' } : {});
