// Serves the built application until it is told to stop.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { env, root } from './ready.mjs';

export function serve(port, databaseFile) {
  const child = spawn(join(root, 'node_modules/.bin/next'), ['start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...env, JORVIX_DB: databaseFile },
  });
  child.stdout.on('data', (chunk) => {
    process.stdout.write(chunk);
    if (String(chunk).includes('Ready')) console.log(`\nJorvix is open at http://127.0.0.1:${port}\nDatabase: ${databaseFile}\n`);
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

export const port = () => Number(process.env.PORT ?? 4310);
