// The process of the pages as the door sees it: begun, begun again when it ends by itself, passed on to, and let go.
import { fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { request as onwardRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './ready.mjs';

/** Between two tries to begin it, milliseconds. */
const AGAIN_MS = 1000;
/** So long it may take to end before it is ended, milliseconds. */
const PATIENCE_MS = 5000;
/**
 * Heap of the pages, megabytes: what is over is cleared away sooner than on a machine's own measure, which goes by all
 * of its memory. Eight of the heaviest pages at once, over and over on the five-year file, were all answered within it
 * (285 MB resident).
 */
const HEAP = ['--max-old-space-size=192', '--max-semi-space-size=8'];
/** What is said of one connection alone. */
const OF_THE_CONNECTION = ['connection', 'keep-alive', 'transfer-encoding'];

/** `records`: what the door does when the pages replace the records, `letGo` before and `takeUp` after. */
export function keepPages(records) {
  const folder = mkdtempSync(join(tmpdir(), 'jorvix-'));
  const socketPath = join(folder, 'pages');
  let child = null;
  let ending = false;

  const begin = () =>
    new Promise((resolve) => {
      rmSync(socketPath, { force: true });
      child = fork(join(root, 'scripts/serve-pages.mjs'), {
        cwd: root,
        env: { ...process.env, JORVIX_PAGES: socketPath },
        execArgv: HEAP,
      });
      child.on('message', ({ says }) => {
        if (says === 'open') resolve();
        if (says === 'let-go') {
          records.letGo();
          child.send({ says: 'let-go' });
        }
        if (says === 'take-up') records.takeUp();
      });
      child.once('exit', () => {
        child = null;
        records.takeUp();
        if (!ending) setTimeout(() => void begin(), AGAIN_MS);
      });
    });

  /** Pass a request on and its answer back; headers that stand on the answer stay. `onNone` hears why none came. */
  function passOn(request, response, onNone) {
    const { method, url: path, headers } = request;
    const onward = onwardRequest({
      socketPath,
      method,
      path,
      headers: { ...headers, connection: 'close' },
      agent: false,
    });
    onward.on('response', (reply) => {
      response.statusCode = reply.statusCode;
      for (const [name, value] of Object.entries(reply.headers)) {
        if (OF_THE_CONNECTION.includes(name)) continue;
        const own = name === 'set-cookie' ? [response.getHeader(name) ?? []].flat() : [];
        response.setHeader(name, own.length > 0 ? [...own, ...value] : value);
      }
      response.flushHeaders();
      reply.pipe(response);
      reply.once('error', () => response.destroy());
    });
    let left = false;
    onward.once('error', (error) => {
      if (left) return;
      if (response.headersSent) response.destroy();
      else onNone(error);
    });
    // Whoever asked has gone, or has it all.
    response.once('close', () => {
      left = true;
      onward.destroy();
    });
    request.pipe(onward);
  }

  /** Ends with it; resolves when it is gone. */
  const end = async () => {
    ending = true;
    const last = child;
    if (last) {
      const gone = new Promise((resolve) => last.once('exit', resolve));
      if (last.connected) last.disconnect();
      const timer = setTimeout(() => last.kill('SIGKILL'), PATIENCE_MS);
      await gone;
      clearTimeout(timer);
    }
    rmSync(folder, { recursive: true, force: true });
  };

  return { begin, passOn, end };
}
