// npm run bench: ratios measured side by side in one run; the browser part drives the built application.
// --core: profile, solver and book alone. --large: every page on the file of npm run seed:large. --gyms: many gyms in
// one process. --records: records in and out, and backups of that file while it is written.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { readyBrowser, readyBuild, readyPackages, run, runTypeScript } from './ready.mjs';

const args = process.argv.slice(2);
await readyPackages();
const ALONE = ['--drift', '--large', '--gyms', '--records'];
if (!ALONE.some((a) => args.includes(a))) await benchCore();
if (!args.includes('--core')) {
  readyBuild();
  readyBrowser('chromium');
  runTypeScript('bench/run.ts', args);
}

/** Core runs in the browser and on the server as a bundle: a loader's bookkeeping is no part of what is measured. */
async function benchCore() {
  const { build } = await import('esbuild');
  const root = new URL('..', import.meta.url).pathname;
  const outfile = join(root, '.next/bench-core.mjs');
  mkdirSync(join(root, '.next'), { recursive: true });
  await build({
    entryPoints: [join(root, 'bench/core.ts')],
    outfile,
    bundle: true,
    format: 'esm',
    target: 'node20',
    platform: 'node',
    logLevel: 'error',
  });
  run(process.execPath, [outfile]);
}
