// After `next build`: bundles what the server's own process needs beside Next.
import { basename, join } from 'node:path';
import { build } from 'esbuild';

const root = new URL('..', import.meta.url).pathname;
const options = {
  bundle: true,
  format: 'esm',
  target: 'node20',
  platform: 'node',
  logLevel: 'error',
  external: ['better-sqlite3', '@node-rs/argon2', 'prom-client'],
  // Packages that ask for what they need while they run.
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
  alias: { 'server-only': join(root, 'test/support/empty.ts') },
};
for (const source of [
  'src/server/door',
  'src/server/solve-worker',
  'src/server/backup-worker',
  'src/server/records-worker',
  'demo/day',
])
  await build({
    ...options,
    entryPoints: [join(root, `${source}.ts`)],
    outfile: join(root, `.next/${basename(source)}.mjs`),
  });
