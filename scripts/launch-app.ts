import { createHash, randomBytes } from 'node:crypto';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext } from '@playwright/test';
import Database from 'better-sqlite3';

/**
 * How Debian's Chromium is started: without a sandbox inside a container, and without talking to anybody. `jorvix.test`
 * is this machine under a name, as a tablet on the gym's network would call it.
 */
export const BROWSER_ARGS = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  '--host-resolver-rules=MAP jorvix.test 127.0.0.1',
];

/**
 * What journeys and pictures are made in: Debian's Chromium as the headless shell, the same engine without a desktop's
 * browser around it, which takes a third off what it costs. What is timed to the frame is timed in the whole browser.
 */
export const JOURNEYS_IN = { executablePath: '/usr/bin/chromium-headless-shell', args: BROWSER_ARGS };

/** Journeys that run side by side have an application, a database and sensors each, on ports of their own. */
const OWN_PORTS = 10 * Number(process.env.TEST_PARALLEL_INDEX ?? 0);
const PORT = { demo: 4391 + OWN_PORTS, empty: 4392 + OWN_PORTS } as const;
/** A port for one more application beside those. */
export const ONE_MORE_PORT = 4394 + OWN_PORTS;
/** Where the journeys' own stand-in for the sensors listens, once one of them starts it. */
const TRACKER_AT = 4393 + OWN_PORTS;

let demoFile: string | null = process.env.JORVIX_DEMO_FILE ?? null;
/** The demo database, written once and copied from then on; whoever runs all tests has one already. */
export function demoDatabase(): string {
  if (demoFile !== null) return demoFile;
  const file = join(mkdtempSync(join(tmpdir(), 'jorvix-demo-')), 'app.db');
  const made = spawnSync('node_modules/.bin/tsx', ['--conditions=react-server', 'scripts/load-demo.ts', file], {
    encoding: 'utf8',
  });
  if (made.status !== 0) throw new Error(made.stderr);
  return (demoFile = file);
}

/** The real application on its own fresh demo database; `restart` kills the server the hard way first. */
export class App {
  private readonly port: number;
  readonly url: string;
  readonly database: string;
  private child: ChildProcess | null = null;

  /**
   * `file`: a database that is there already, served as it is; `env`: what its processes are told besides, such as
   * another PORT beside an application that runs already.
   */
  constructor(
    readonly demo: boolean,
    file?: string,
    readonly env: Record<string, string> = {},
  ) {
    this.port = Number(env.PORT ?? (demo ? PORT.demo : PORT.empty));
    this.url = `http://127.0.0.1:${this.port}`;
    this.database = file ?? join(mkdtempSync(join(tmpdir(), 'jorvix-e2e-')), 'app.db');
    if (demo && file === undefined) copyFileSync(demoDatabase(), this.database);
  }

  /** Serves once this resolves. Where the port is still held by one that is just ending, tries again for a while. */
  async start(): Promise<void> {
    for (let tries = 0; tries < 30; tries++) {
      if (await this.tryToStart()) return;
      await new Promise((r) => setTimeout(r, 500));
    }
    throw new Error('the server did not start');
  }

  /** Whether it opened; it says so itself, since another one might answer on its port. */
  private async tryToStart(): Promise<boolean> {
    const child = spawn(process.execPath, ['scripts/serve-app.mjs'], {
      env: {
        ...process.env,
        PORT: String(this.port),
        JORVIX_DB: this.database,
        // A name of the gym's network beside this machine's own: plain http under it is no secure context.
        JORVIX_HOSTS: `jorvix.test:${this.port}`,
        JORVIX_TRACKER: `http://127.0.0.1:${TRACKER_AT}`,
        ...(this.demo ? { JORVIX_TILT: 'simulated', JORVIX_DEMO: 'yes' } : { JORVIX_NEW: 'yes' }),
        ...this.env,
      },
      stdio: ['ignore', 'pipe', 'ignore'],
      detached: true,
    });
    this.child = child;
    return new Promise((resolve) => {
      child.stdout.on('data', (text) => String(text).includes('Jorvix is open') && resolve(true));
      child.once('exit', () => resolve(false));
    });
  }

  /** The token of a device that is signed in from now on as one of the demo's people. */
  newToken(accountId = 'marit', nowMs = Date.now()): string {
    const token = randomBytes(32).toString('base64url');
    const db = new Database(this.database);
    const digest = createHash('sha256').update(token).digest('hex');
    db.prepare(
      `INSERT INTO account_session (id, account_id, token_hash, device, begun_at_ms, rotated_at_ms, seen_at_ms)
       VALUES (?, ?, ?, 'Journey', ?, ?, ?)`,
    ).run(token.slice(0, 20), accountId, digest, nowMs, nowMs, nowMs);
    db.close();
    return token;
  }

  /** Sign a browser in, without the pages that it is done on. */
  async signIn(browser: BrowserContext, accountId?: string, nowMs?: number): Promise<void> {
    const value = this.newToken(accountId, nowMs);
    await browser.addCookies([{ name: 'jorvix', value, url: this.url, httpOnly: true, sameSite: 'Lax' }]);
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child?.pid) return;
    const gone = new Promise((r) => child.once('exit', r));
    process.kill(-child.pid, signal);
    await gone;
  }

  /** Answers nothing until it goes on, and is not gone either. */
  pause(): void {
    if (this.child?.pid) process.kill(-this.child.pid, 'SIGSTOP');
  }

  goOn(): void {
    if (this.child?.pid) process.kill(-this.child.pid, 'SIGCONT');
  }

  /** Resident memory of its processes, megabytes, the one that was begun first ahead. */
  memoryMb(): number[] {
    const told = spawnSync('ps', ['-o', 'rss=', '-g', String(this.child?.pid ?? 0)], { encoding: 'utf8' });
    return told.stdout
      .trim()
      .split(/\s+/)
      .map((kb) => Number(kb) / 1024);
  }

  async restart(): Promise<void> {
    await this.stop('SIGKILL');
    await this.start();
  }
}

/** The stand-in for the sensors, where the journeys' application looks for them. */
export const startTracker = (): ChildProcess =>
  spawn('node_modules/.bin/tsx', ['scripts/serve-tracker.ts'], {
    env: { ...process.env, JORVIX_TRACKER_PORT: String(TRACKER_AT) },
    stdio: 'ignore',
  });

/** Today's planned movement of a demo client. */
export function itemId(client: string, index: number): string {
  const d = new Date();
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${client}-${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}-${index}`;
}
