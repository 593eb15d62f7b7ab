// The door of the built application: it lets in who may, takes taps and cases itself, and passes pages on to a process
// of their own (scripts/serve-pages.mjs), so that no page keeps a tap waiting. PORT, JORVIX_DB and JORVIX_HOST say
// where (src/server/serving); with JORVIX_NEW a database that is not there is begun. Opens the records before it says
// that it is open, and on SIGINT and SIGTERM lets them go whole.
import { createServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { keepPages } from './pages-process.mjs';

process.env.NODE_ENV = 'production';
process.env.NEXT_TELEMETRY_DISABLED = '1';
// Health notes are for this account alone.
process.umask(0o077);
const door = await import('../.next/door.mjs');
const say = (error) => console.error(error);

/** End with one sentence. */
function refuse(sentence) {
  console.error(`\n${sentence}\n`);
  process.exit(1);
}

const serving = door.readServing(process.env);
if (typeof serving === 'string') refuse(serving);
const { port, host, hosts, tls, url, says } = serving;
if (url.startsWith('https')) process.env.JORVIX_SECURE = 'yes';
const trouble = door.openRecords(process.env.JORVIX_NEW === 'yes', host);
if (trouble) refuse(trouble);
/** The records are being replaced: nothing is read or kept until they are. */
let away = false;
const pages = keepPages({
  letGo: () => {
    away = true;
    door.closeRecords();
  },
  takeUp: () => void (away = false),
});

/** Where a request comes from: behind a proxy of ours, what it says last. */
function placeOf(request) {
  const told = process.env.JORVIX_PROXY === 'yes' ? request.headers['x-forwarded-for'] : undefined;
  return told?.split(',').at(-1).trim() ?? request.socket.remoteAddress ?? '';
}

/** Not now: a device keeps what it tapped and asks again, a browser shows the page as it was kept. */
function notNow(response) {
  response.writeHead(503, { 'content-type': 'text/plain; charset=utf-8', 'retry-after': '1' }).end(door.NOT_NOW);
}

/** Serve whoever the gate lets in. */
function serve(request, response) {
  const nowMs = Date.now();
  const gate = door.gateOf(request, nowMs);
  if (gate.do === 'redirect') {
    response.writeHead(303, { location: gate.to, 'cache-control': 'no-store' }).end();
    return;
  }
  if (gate.do === 'refuse') {
    response.writeHead(gate.status, { 'content-type': 'application/json' }).end(JSON.stringify(gate.body));
    return;
  }
  if (gate.cookie) response.setHeader('set-cookie', gate.cookie);
  const uc = gate.signedIn && door.toUseCase(gate.signedIn, nowMs);
  const is = (method, path) => uc && request.method === method && request.url.split('?')[0] === path;
  if (is('POST', '/api/v1/floor-events')) void door.takeDelivery(uc)(request, response, say);
  else if (is('POST', '/api/v1/solve')) void door.takeCases(request, response, say);
  else if (is('GET', door.LINE)) door.openLine(request, response, uc);
  else
    pages.passOn(request, response, (error) => {
      say(error);
      notNow(response);
    });
}

async function answer(request, response) {
  door.watchCall(request, response);
  const { nonce, policy, headers } = door.headersOf();
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
  // Next reads the policy of the request and gives its own scripts the word in it.
  request.headers['content-security-policy'] = policy;
  request.headers['x-nonce'] = nonce;
  request.headers['x-path'] = request.url.split('?')[0];
  request.headers['x-place'] = placeOf(request);
  if (process.env.JORVIX_PROXY !== 'yes') request.headers['x-forwarded-proto'] = tls ? 'https' : 'http';
  const refused = door.refusalOf(request.method, request.url, request.headers, hosts);
  if (refused) {
    response.writeHead(refused.status, { 'content-type': 'text/plain; charset=utf-8' });
    response.end(refused.says);
    return;
  }
  if (await door.answerWatch(request, response, away)) return;
  if (away) {
    notNow(response);
    return;
  }
  try {
    serve(request, response);
  } catch (error) {
    say(error);
    response.writeHead(500).end();
  }
}

const server = tls ? createTlsServer(tls, answer) : createServer(answer);
server.on('error', (error) => {
  door.closeRecords();
  refuse(error.code === 'EADDRINUSE' ? door.portTaken(port) : String(error));
});
let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  server.close();
  server.closeAllConnections();
  await pages.end();
  door.closeRecords();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, stop);
// Whoever started this one is gone: so is this.
if (process.env.JORVIX_LAUNCHER) process.once('disconnect', stop);
server.listen(port, host, async () => {
  await pages.begin();
  console.log(`\nJorvix is open at ${url}\nDatabase: ${process.env.JORVIX_DB ?? 'default'}\n`);
  for (const sentence of says) console.log(`${sentence}\n`);
});
