// The pages of the built application, by Next, in a process of their own beside the door (scripts/serve-app.mjs), which
// passes on to JORVIX_PAGES, a socket that only this account reaches. A page that takes long, a backup or folding never
// keeps a tap waiting here. Ends with the door.
import { createServer } from 'node:http';
import { constants, setPriority } from 'node:os';
import { root } from './ready.mjs';

process.env.NODE_ENV = 'production';
process.umask(0o077);
// A tap goes first where both want the processor.
setPriority(constants.priority.PRIORITY_BELOW_NORMAL);
const records = await import('../.next/door.mjs');
const demo = process.env.JORVIX_DEMO === 'yes' ? await import('../.next/day.mjs') : null;
const say = (error) => console.error(error);

const { default: next } = await import('next');
const app = next({ dev: false, dir: root, hostname: '127.0.0.1', port: Number(process.env.PORT) });
await app.prepare();
const servePage = app.getRequestHandler();
const server = createServer((request, response) => void servePage(request, response));

let endBackups = () => undefined;
let endFolding = () => undefined;
let endTidying = () => undefined;
let endDemo = () => undefined;
function stop() {
  endBackups();
  endFolding();
  endTidying();
  endDemo();
  server.close();
  server.closeAllConnections();
  records.closeRecords();
  process.exit(0);
}
// A terminal tells both processes; the door says when.
process.on('SIGINT', () => undefined);
process.once('SIGTERM', stop);
process.once('disconnect', stop);
server.listen(process.env.JORVIX_PAGES, () => {
  endBackups = records.keepBackups(say);
  endFolding = records.keepFolding(say);
  endTidying = records.keepTidy(say);
  if (demo) endDemo = demo.keepDemoAlive(say);
  process.send({ says: 'open' });
});
