// After `next build`: bundles the service worker with the list of files it keeps ready.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

const root = new URL('..', import.meta.url).pathname;
const at = (p) => join(root, p);
const walk = (dir) =>
  existsSync(at(dir))
    ? readdirSync(at(dir), { recursive: true })
        .map(String)
        .filter((f) => statSync(at(join(dir, f))).isFile())
    : [];
const hash = (f) =>
  createHash('sha256')
    .update(readFileSync(at(f)))
    .digest('hex')
    .slice(0, 16);

const list = walk('.next/static')
  .filter((f) => !f.endsWith('.map'))
  .map((f) => ({ url: `/_next/static/${f}`, revision: null }));
for (const f of walk('public'))
  if (!f.startsWith('sw.js')) list.push({ url: `/${f}`, revision: hash(join('public', f)) });
list.push({ url: '/offline', revision: hash('.next/BUILD_ID') });

await build({
  entryPoints: [at('src/offline/sw.ts')],
  outfile: at('public/sw.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  platform: 'browser',
  logLevel: 'error',
  define: { __PRECACHE__: JSON.stringify(list), 'process.env.NODE_ENV': '"production"' },
});
