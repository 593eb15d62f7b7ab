// Brings a fresh checkout to where the other scripts can run: dependencies, build, browser. Plain Node, no packages.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export const root = new URL('..', import.meta.url).pathname;
export const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

function fail(why, status = 1) {
  console.error(why);
  process.exit(status);
}

/** Run a command, showing what it prints; stop everything when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env, ...options });
  if (status === 0) return;
  const how = error ? `: ${error.message}` : ` with exit code ${status}`;
  fail(`${command} ${args.join(' ')} failed${how}`, status ?? 1);
}

const hash = (text) => createHash('sha256').update(text).digest('hex');
const stampAt = (name) => join(root, 'node_modules', `.jorvix-${name}`);
const readStamp = (name) => (existsSync(stampAt(name)) ? readFileSync(stampAt(name), 'utf8') : '');

/** The packages that may run a script of their own when they are installed. */
function compiledPackages() {
  const { allowScripts } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
  return Object.keys(allowScripts).filter((name) => allowScripts[name]);
}

/**
 * Install exactly what the lockfile says, when that is not what is there. What it gives resolves once the database is
 * compiled too, which keeps one core busy for minutes: what needs no database may go on before.
 */
export function readyPackages() {
  const lock = hash(readFileSync(join(root, 'package-lock.json')));
  if (readStamp('packages') === lock) return Promise.resolve();
  console.log('Installing packages (a few minutes the first time)...');
  run('npm', ['ci', '--no-fund', '--no-audit', '--ignore-scripts']);
  const compiler = spawn('npm', ['rebuild', ...compiledPackages()], { cwd: root, stdio: 'inherit', env });
  return new Promise((resolve) => {
    compiler.once('exit', (code) => {
      if (code !== 0) fail(`npm rebuild failed with exit code ${code}`);
      writeFileSync(stampAt('packages'), lock);
      resolve();
    });
  });
}

/** One hash of every source in some folders, tests left out, and of some files beside them. */
function sourceHash(folders, files = []) {
  for (const folder of folders)
    for (const f of readdirSync(join(root, folder), { recursive: true })) {
      const file = join(folder, String(f));
      if (statSync(join(root, file)).isFile() && !/\.test\.tsx?$/.test(file)) files.push(file);
    }
  return hash(
    files
      .sort()
      .map((f) => `${f}:${hash(readFileSync(join(root, f)))}`)
      .join('\n'),
  );
}

const BUILT_BY = [
  'package-lock.json',
  'next.config.mjs',
  'tsconfig.json',
  'scripts/build-sw.mjs',
  'scripts/build-door.mjs',
];
/** What an answer of the solver follows from beside its case. */
const SOLVER = ['src/core', 'src/solver', 'src/contract'];

/** What names the code that solves, where answers are kept by it. */
export const solverName = () => sourceHash(SOLVER);

/** Build the application when its sources changed since the last build. */
export function readyBuild() {
  const now = sourceHash(['src', 'demo'], [...BUILT_BY]);
  if (existsSync(join(root, '.next/BUILD_ID')) && readStamp('build') === now) return;
  console.log('Building...');
  run(join(root, 'node_modules/.bin/next'), ['build'], { env: { ...env, JORVIX_SOLVER: solverName() } });
  run(process.execPath, [join(root, 'scripts/build-sw.mjs')]);
  run(process.execPath, [join(root, 'scripts/build-door.mjs')]);
  writeFileSync(stampAt('build'), now);
}

/** Debian's Chromium: as the headless shell for journeys and pictures, whole (`chromium`) for what is timed. */
export function readyBrowser(name = 'chromium-headless-shell') {
  if (existsSync(`/usr/bin/${name}`)) return;
  console.log('Installing Chromium...');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) =>
    run([...sudo, 'apt-get'][0], [...sudo, 'apt-get', ...args].slice(1), {
      env: { ...env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update');
  apt('install', '-y', '--no-install-recommends', name, 'fonts-liberation');
}

/** Run a TypeScript script of this project on Node. */
export function runTypeScript(script, args = []) {
  run(join(root, 'node_modules/.bin/tsx'), ['--conditions=react-server', script, ...args]);
}
