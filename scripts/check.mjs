// npm run check: types, formatting, lint, dead code, architecture and unit tests, for before each commit.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { env, readyPackages, root, run } from './ready.mjs';

readyPackages();
const bin = (name) => join(root, 'node_modules/.bin', name);
// Next's own types, where no build has written them yet.
if (!existsSync(join(root, 'next-env.d.ts'))) run(bin('next'), ['typegen']);

/** Run one check to its end and print what it said then, so that two at a time do not talk into each other. */
const check = ([name, command, ...args]) =>
  new Promise((resolve) => {
    const began = Date.now();
    const child = spawn(bin(command), args, { cwd: root, env: { ...env, NO_COLOR: '1' } });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
    child.on('close', (code) => {
      console.log(`${code === 0 ? 'right' : 'WRONG'}  ${name}, ${((Date.now() - began) / 1000).toFixed(1)} s`);
      if (code !== 0) console.log(said.replace(/[·x]{9,}/g, ''));
      resolve(code === 0);
    });
  });

/** Checks one after the other; the two rows go side by side, one for each core. */
async function row(checks) {
  let good = true;
  for (const one of checks) good = (await check(one)) && good;
  return good;
}

const results = await Promise.all([
  row([['unit and architecture tests', 'vitest', 'run', '--project', 'unit', '--reporter=dot']]),
  row([
    ['types', 'tsc', '--noEmit', '-p', '.'],
    ['formatting', 'prettier', '--check', '--log-level', 'warn', '--cache', '.'],
    ['dead code', 'knip'],
    ['lint', 'eslint', '--cache', '--cache-location', 'node_modules/.cache/eslint/', '.'],
  ]),
]);
process.exit(results.every(Boolean) ? 0 : 1);
