// After `next build`: bundles what the server's own process needs beside Next.
import { join } from 'node:path';
import { build } from 'esbuild';

const root = new URL('..', import.meta.url).pathname;
const options = {
  bundle: true,
  format: 'esm',
  target: 'node20',
  platform: 'node',
  logLevel: 'error',
  external: ['better-sqlite3', '@node-rs/argon2'],
  alias: { 'server-only': join(root, 'test/support/empty.ts') },
};
for (const name of ['door', 'solve-worker', 'backup-worker'])
  await build({
    ...options,
    entryPoints: [join(root, `src/server/${name}.ts`)],
    outfile: join(root, `.next/${name}.mjs`),
  });
