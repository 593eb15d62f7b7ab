// The built application in one process: pages by Next, deliveries of taps by a door of their own. PORT and JORVIX_DB
// say where; with JORVIX_NEW a database that is not there is begun. Opens the records before it says that it is open,
// and on SIGINT and SIGTERM lets them go whole.
import { createServer } from 'node:http';
import { root } from './ready.mjs';

process.env.NODE_ENV = 'production';
process.env.NEXT_TELEMETRY_DISABLED = '1';
// Health notes are for this account alone.
process.umask(0o077);
const door = await import('../.next/door.mjs');
const port = Number(process.env.PORT);
const say = (error) => console.error(error);

/** End with one sentence. */
function refuse(sentence) {
  console.error(`\n${sentence}\n`);
  process.exit(1);
}

const trouble = door.openRecords(process.env.JORVIX_NEW === 'yes');
if (trouble) refuse(trouble);
const { default: next } = await import('next');
const app = next({ dev: false, dir: root, hostname: '127.0.0.1', port });
await app.prepare();
const serve = app.getRequestHandler();
const hosts = door.allowedHosts(port);
const server = createServer((request, response) => {
  const { nonce, policy, headers } = door.headersOf();
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
  // Next reads the policy of the request and gives its own scripts the word in it.
  request.headers['content-security-policy'] = policy;
  request.headers['x-nonce'] = nonce;
  const refused = door.refusalOf(request.method, request.url, request.headers, hosts);
  if (refused) {
    response.writeHead(refused.status, { 'content-type': 'text/plain; charset=utf-8' });
    response.end(refused.says);
  } else if (request.method === 'POST' && request.url === '/api/v1/floor-events')
    door.takeDelivery(request, response, say);
  else if (request.method === 'GET' && request.url.startsWith(`${door.LINE}?`))
    door.openLine(request, response, Date.now());
  else void serve(request, response);
});
server.on('error', (error) => {
  door.closeRecords();
  refuse(error.code === 'EADDRINUSE' ? door.portTaken(port) : String(error));
});
let endBackups = () => undefined;
function stop() {
  endBackups();
  server.close();
  server.closeAllConnections();
  door.closeRecords();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, stop);
// Whoever started this one is gone: so is this.
if (process.env.JORVIX_LAUNCHER) process.once('disconnect', stop);
server.listen(port, '127.0.0.1', () => {
  endBackups = door.keepBackups(say);
  console.log(`\nJorvix is open at http://127.0.0.1:${port}\nDatabase: ${process.env.JORVIX_DB ?? 'default'}\n`);
});
