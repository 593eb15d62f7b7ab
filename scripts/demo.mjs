// npm run demo: set up what is missing, build, load the demo world, serve it. `-- --fresh` starts the world anew.
import { rmSync } from 'node:fs';
import { readyBuild, readyPackages, runTypeScript, solverName } from './ready.mjs';
import { port, serve } from './serve.mjs';

const file = process.env.JORVIX_DB ?? './data/demo.db';
const compiled = readyPackages();
readyBuild();
await compiled;
if (process.argv.includes('--fresh')) for (const end of ['', '-wal', '-shm']) rmSync(`${file}${end}`, { force: true });
runTypeScript('scripts/load-demo.ts', [file, solverName()]);
// A desk has no tilt sensor: the demo's is a stand-in.
serve(port(), file, { JORVIX_TILT: 'simulated', JORVIX_DEMO: 'yes' });
