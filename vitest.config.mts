import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const at = (p: string) => fileURLToPath(new URL(p, import.meta.url));
/** Those that put something else in the place of a module see modules of their own. */
const MOCKED = ['adding-a-movement', 'built-without-records', 'kept-solves', 'one-question', 'two-processes'].map(
  (name) => `test/${name}.test.ts`,
);
export default defineConfig({
  resolve: { alias: { '@': at('./src'), 'server-only': at('./test/support/empty.ts') } },
  test: {
    environment: 'node',
    testTimeout: 180_000,
    hookTimeout: 180_000,
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: { name: 'unit', isolate: false, include: ['src/**/*.test.ts', 'test/architecture.test.ts'] },
      },
      {
        extends: true,
        test: {
          name: 'flow',
          isolate: false,
          include: ['test/**/*.test.ts'],
          exclude: ['test/architecture.test.ts', 'test/imports.test.ts', ...MOCKED],
        },
      },
      // Reading every import takes as long as a quarter of the unit tests: a check of its own.
      { extends: true, test: { name: 'imports', include: ['test/imports.test.ts'] } },
      { extends: true, test: { name: 'mocked', include: MOCKED } },
    ],
  },
});
