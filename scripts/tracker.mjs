// npm run tracker: simulated stack sensors for the set screen, until they are told to stop.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { env, readyPackages, root } from './ready.mjs';
import { untilStopped } from './serve.mjs';

await readyPackages();
untilStopped(
  spawn(join(root, 'node_modules/.bin/tsx'), ['scripts/serve-tracker.ts'], { cwd: root, stdio: 'inherit', env }),
);
