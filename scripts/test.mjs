// npm test: set up what is missing, then types, lint, unit, architecture, data, flow and browser tests.
// Ends with one line counting everything that ran.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { env, readyBrowser, readyBuild, readyPackages, root } from './ready.mjs';

readyPackages();
readyBrowser();
readyBuild();

const bin = (name) => join(root, 'node_modules/.bin', name);
const results = join(root, 'test-results');
mkdirSync(results, { recursive: true });
let passed = 0;
let failed = 0;

function step(name, command, args, count) {
  console.log(`\n== ${name}`);
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env });
  const [good, bad] = count?.() ?? [status === 0 ? 1 : 0, status === 0 ? 0 : 1];
  passed += good;
  // A runner that fails without naming a failed test has failed all the same.
  failed += bad > 0 || status === 0 ? bad : 1;
}

function fromReport(file, read) {
  const path = join(results, file);
  rmSync(path, { force: true });
  return () => (existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : [0, 1]);
}

const vitest = fromReport('vitest.json', (r) => [r.numPassedTests, r.numFailedTests]);
const browser = fromReport('browser.json', (r) => [r.stats.expected, r.stats.unexpected + r.stats.flaky]);
step('types', bin('tsc'), ['--noEmit', '-p', '.']);
step('formatting', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
step('dead code', bin('knip'), []);
step('lint', bin('eslint'), ['.']);
step(
  'unit, architecture, data and flow',
  bin('vitest'),
  ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${join(results, 'vitest.json')}`],
  vitest,
);
step('browser', bin('playwright'), ['test'], browser);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
