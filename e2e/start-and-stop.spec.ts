import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { createServer, type IncomingMessage } from 'node:http';
import { get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { generate } from 'selfsigned';
import { App, demoDatabase } from '../scripts/launch-app';
import { expect, test } from './support/app';

const PORT = 4396 + 10 * Number(process.env.TEST_PARALLEL_INDEX ?? 0);

interface Run {
  readonly child: ChildProcess;
  readonly said: () => string;
  readonly ended: Promise<number | null>;
}

const running: ChildProcess[] = [];
// Where a journey failed its server is not left to the next one.
test.afterEach(() => running.splice(0).forEach((child) => child.kill('SIGKILL')));

function run(script: string, database: string, more: Record<string, string> = {}): Run {
  const child = spawn(process.execPath, [script], {
    env: { ...process.env, PORT: String(PORT), JORVIX_DB: database, ...more },
  });
  running.push(child);
  let said = '';
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (text) => (said += String(text)));
  return { child, said: () => said, ended: once(child, 'exit').then(([code]) => code as number | null) };
}

const place = (): string => join(mkdtempSync(join(tmpdir(), 'jorvix-start-')), 'kept', 'gym.db');
const open = (r: Run): Promise<void> => expect.poll(r.said, { timeout: 30_000 }).toContain('Jorvix is open');

test('what cannot be served ends the start with a sentence and the way out', async () => {
  const missing = run('scripts/serve-app.mjs', place());
  expect(await missing.ended).toBe(1);
  expect(missing.said()).toContain('npm start -- --new');
  expect(missing.said()).not.toContain('is open at');
  const letter = join(mkdtempSync(join(tmpdir(), 'jorvix-start-')), 'letter.db');
  writeFileSync(letter, 'Dear gym, this is no database, however long it goes on about it.');
  const wrong = run('scripts/serve-app.mjs', letter);
  expect(await wrong.ended).toBe(1);
  expect(wrong.said()).toContain('is not a database');
  const other = createServer().listen(PORT, '127.0.0.1');
  await once(other, 'listening');
  const taken = run('scripts/serve-app.mjs', place(), { JORVIX_NEW: 'yes' });
  expect(await taken.ended).toBe(1);
  expect(taken.said()).toContain(`Port ${PORT} is taken`);
  other.close();
});

test('told to stop, it leaves one whole file that only this account reads, and a backup', async () => {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    const file = place();
    const r = run('scripts/serve-app.mjs', file, { JORVIX_NEW: 'yes' });
    await open(r);
    const reply = await fetch(`http://127.0.0.1:${PORT}/`);
    expect(reply.headers.get('content-security-policy')).toContain("frame-ancestors 'none'");
    r.child.kill(signal);
    expect(await r.ended).toBe(0);
    expect([existsSync(`${file}-wal`), existsSync(`${file}-shm`)]).toEqual([false, false]);
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(readdirSync(join(file, '..', 'backups')).filter((f) => f.endsWith('.db'))).toHaveLength(1);
  }
});

test('the gym’s network is served once there is an owner, over TLS with its own certificate', async () => {
  const file = place();
  const folder = mkdtempSync(join(tmpdir(), 'jorvix-tls-'));
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'localhost' }]);
  writeFileSync(join(folder, 'cert.pem'), cert);
  writeFileSync(join(folder, 'key.pem'), key);
  const tls = {
    JORVIX_HOST: '0.0.0.0',
    JORVIX_HOSTS: `gym.test:${PORT}`,
    JORVIX_CERT: join(folder, 'cert.pem'),
    JORVIX_KEY: join(folder, 'key.pem'),
  };
  const early = run('scripts/serve-app.mjs', file, { ...tls, JORVIX_NEW: 'yes' });
  expect(await early.ended).toBe(1);
  expect(early.said()).toContain('Nobody is the owner yet');
  const db = new Database(file);
  db.prepare("INSERT INTO account (id, name, role) VALUES ('o', 'Oriel', 'owner')").run();
  const token = 't'.repeat(43);
  const yesterday = Date.now() - 86_400_000;
  db.prepare("INSERT INTO account_session VALUES ('s', 'o', ?, NULL, 'Desk', ?, ?, ?, NULL, NULL, 0)").run(
    ...[createHash('sha256').update(token).digest('hex'), yesterday, yesterday, Date.now()],
  );
  db.close();
  const r = run('scripts/serve-app.mjs', file, tls);
  await open(r);
  expect(r.said()).toContain(`https://gym.test:${PORT}`);
  const headers = { host: `gym.test:${PORT}`, cookie: `jorvix=${token}`, 'sec-fetch-mode': 'navigate' };
  const reply = await new Promise<IncomingMessage>((resolve, reject) =>
    get({ host: '127.0.0.1', port: PORT, path: '/account', headers, rejectUnauthorized: false }, resolve).on(
      'error',
      reject,
    ),
  );
  reply.resume();
  expect(reply.statusCode).toBe(200);
  // A day old, the token is changed, and goes no way but this.
  expect(reply.headers['set-cookie']?.[0]).toMatch(/^jorvix=[\w-]{43}; Path=\/; HttpOnly; SameSite=Lax; .*; Secure$/);
  r.child.kill('SIGTERM');
  expect(await r.ended).toBe(0);
});

test('the server ends with its launcher, also where that one is killed', async () => {
  const file = place();
  const launcher = run('scripts/start.mjs', file, { JORVIX_NEW: 'yes' });
  await open(launcher);
  launcher.child.kill('SIGKILL');
  await launcher.ended;
  await expect
    .poll(
      () =>
        fetch(`http://127.0.0.1:${PORT}/`).then(
          () => 'open',
          () => 'gone',
        ),
      { timeout: 10_000 },
    )
    .toBe('gone');
  await expect.poll(() => existsSync(`${file}-wal`)).toBe(false);
});

test('pages that die take no tap along and come again; told to stop meanwhile it stops', async () => {
  const file = place();
  const r = run('scripts/serve-app.mjs', file, { JORVIX_NEW: 'yes' });
  await open(r);
  const status = (path: string, init?: RequestInit): Promise<number> =>
    fetch(`http://127.0.0.1:${PORT}${path}`, init).then((reply) => reply.status);
  const pagesOf = (): number =>
    Number(spawnSync('pgrep', ['-P', String(r.child.pid)], { encoding: 'utf8' }).stdout.trim());
  const first = pagesOf();
  process.kill(first, 'SIGKILL');
  await expect.poll(() => status('/sign-in')).toBe(503);
  const tap = { method: 'POST', body: '{"events":[]}', headers: { 'content-type': 'application/json' } };
  // Answered by the door itself: nobody is signed in.
  expect(await status('/api/v1/floor-events', tap)).toBe(401);
  await expect.poll(() => status('/sign-in'), { timeout: 20_000 }).toBe(200);
  expect(pagesOf()).not.toBe(first);
  process.kill(pagesOf(), 'SIGKILL');
  r.child.kill('SIGTERM');
  expect(await r.ended).toBe(0);
  expect(existsSync(`${file}-wal`)).toBe(false);
});

test('tells whether it is well, what it counted, and of every call a line without a name or an id', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'jorvix-watch-')), 'gym.db');
  copyFileSync(demoDatabase(), file);
  const served = run('scripts/serve-app.mjs', file, { JORVIX_LOG: 'yes' });
  await open(served);
  const url = `http://127.0.0.1:${PORT}`;
  const well = await fetch(`${url}/healthz`);
  expect([well.status, await well.text()]).toEqual([200, 'well\n']);
  const cookie = `jorvix=${new App(false, file).newToken('owner')}`;
  for (const path of [
    '/clients/sefina',
    '/clients/sefina/practice',
    '/ledger/tevita/cable-fly-level',
    '/api/v1/records/anselm',
  ])
    expect((await (await fetch(url + path, { headers: { cookie } })).text()).length, path).toBeGreaterThan(1000);
  expect((await fetch(`${url}/api/v1/clients`, { headers: { authorization: 'Bearer nobody' } })).status).toBe(401);
  const counted = async (): Promise<string> => (await fetch(`${url}/metrics`)).text();
  await expect.poll(counted).toMatch(/jorvix_call_seconds_count\{kind="page",status="200"\} [3-9]/);
  await expect.poll(counted).toMatch(/jorvix_call_seconds_count\{kind="program",status="401"\} 1/);
  expect(await counted()).toMatch(/jorvix_records_bytes [1-9]\d{5}/);
  // Only to this machine itself, not through a proxy.
  const far = { headers: { 'x-forwarded-for': '10.0.0.9' }, redirect: 'manual' } as const;
  expect((await fetch(`${url}/metrics`, far)).status).toBe(303);
  await expect.poll(served.said).toContain('"route":"/ledger/:/:"');
  served.child.kill('SIGTERM');
  expect(await served.ended).toBe(0);
  const db = new Database(file, { readonly: true });
  const names = db
    .prepare(
      'SELECT id FROM client UNION SELECT name FROM client UNION SELECT id FROM account UNION SELECT name FROM account',
    )
    .pluck()
    .all() as string[];
  db.close();
  const lines = served
    .said()
    .split('\n')
    .filter((l) => l.startsWith('{'));
  expect(lines.length).toBeGreaterThan(5);
  for (const line of lines) {
    expect(Object.keys(JSON.parse(line) as object)).toEqual(['at', 'method', 'route', 'status', 'ms']);
    expect(names.filter((n) => line.toLowerCase().includes(n.toLowerCase()))).toEqual([]);
  }
});
