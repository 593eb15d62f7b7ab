// npm test: set up what is missing, then types, lint, unit, architecture, data, flow and browser tests.
// Ends with one line counting everything that ran.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { env, readyBrowser, readyBuild, readyPackages, root, solverName } from './ready.mjs';
import { CHECKS, runRows } from './two-rows.mjs';

const compiled = readyPackages();
readyBrowser();
readyBuild();

const results = join(root, 'test-results');
mkdirSync(results, { recursive: true });

/** How many of a runner's tests passed and failed; a runner that fails without naming a failed test has failed too. */
function count(file, good, read) {
  const path = join(results, file);
  const [passed, failed] = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : [0, 1];
  return [passed, failed > 0 || good ? failed : 1];
}

for (const file of ['vitest.json', 'browser.json', 'demo.db']) rmSync(join(results, file), { force: true });
// Here what `npm run check` samples is walked whole.
env.JORVIX_WHOLE = 'yes';
const report = ['--reporter=dot', '--reporter=json', `--outputFile.json=${join(results, 'vitest.json')}`];
// What every journey begins with is written beside the tests, by the core that is free first.
const demoFile = join(results, 'demo.db');
const demo = ['the demo world', 'tsx', '--conditions=react-server', 'scripts/load-demo.ts', demoFile, solverName()];
const tests = ['unit, architecture, data and flow tests', 'vitest', 'run', ...report];
const checked = await runRows([
  [compiled, tests],
  [...CHECKS, compiled, demo],
]);
if (checked.every(({ name, good }) => name !== demo[0] || good)) env.JORVIX_DEMO_FILE = demoFile;
console.log('\n== browser');
const journeys = spawnSync(join(root, 'node_modules/.bin/playwright'), ['test'], { cwd: root, stdio: 'inherit', env });

const counts = checked.map(({ name, good }) =>
  name.startsWith('unit')
    ? count('vitest.json', good, (r) => [r.numPassedTests, r.numFailedTests])
    : [good ? 1 : 0, good ? 0 : 1],
);
counts.push(
  count('browser.json', journeys.status === 0, (r) => [r.stats.expected, r.stats.unexpected + r.stats.flaky]),
);
const [passed, failed] = [0, 1].map((k) => counts.reduce((sum, c) => sum + c[k], 0));
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
