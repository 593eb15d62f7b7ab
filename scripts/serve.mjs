// Serves the built application until it is told to stop.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { env, root } from './ready.mjs';

/** Runs on until it is told to stop, and takes the child along. */
export function untilStopped(child) {
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

export function serve(port, databaseFile, more = {}) {
  untilStopped(
    spawn(process.execPath, [join(root, 'scripts/serve-app.mjs')], {
      cwd: root,
      // The channel ends with the launcher, however it ends, and the server with the channel.
      stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
      env: { ...env, ...process.env, PORT: String(port), JORVIX_DB: databaseFile, JORVIX_LAUNCHER: 'yes', ...more },
    }),
  );
}

export const port = () => Number(process.env.PORT ?? 4310);
