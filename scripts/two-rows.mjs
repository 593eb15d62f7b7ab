// Checks run in two rows side by side, one for each core; what one prints is shown whole, when it is done.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { env, root } from './ready.mjs';

/** What was found of files that are as they were is kept in places that no other use of a tool clears. */
const cached = (check) => ['--cache', '--cache-location', join('node_modules/.cache', check, 'files')];

/** What every check but the tests is, in the order in which they fail most quickly. */
export const CHECKS = [
  // By the native compiler, ten times as quick; the one that lint and the framework take is the last that they know.
  ['types', '../typescript-native/bin/tsc', '--noEmit', '-p', '.'],
  ['formatting', 'prettier', '--check', '--log-level', 'warn', ...cached('formatting'), '.'],
  ['dead code', 'knip', ...cached('dead-code')],
  ['lint', 'eslint', ...cached('lint'), '.'],
];

const runOne = ([name, command, ...args]) =>
  new Promise((resolve) => {
    const began = Date.now();
    const child = spawn(join(root, 'node_modules/.bin', command), args, { cwd: root, env: { ...env, NO_COLOR: '1' } });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
    child.on('close', (code) => {
      console.log(`${code === 0 ? 'right' : 'WRONG'}  ${name}, ${((Date.now() - began) / 1000).toFixed(1)} s`);
      if (code !== 0) console.log(said.replace(/[·x]{9,}/g, ''));
      resolve({ name, good: code === 0 });
    });
  });

/**
 * Run rows of checks, each one after the other, waiting where a promise stands in the row; gives the name of every
 * check and whether it was good.
 */
export async function runRows(rows) {
  const all = await Promise.all(
    rows.map(async (row) => {
      const results = [];
      for (const one of row) {
        if (one instanceof Promise) await one;
        else results.push(await runOne(one));
      }
      return results;
    }),
  );
  return all.flat();
}
