// npm run check: types, formatting, lint, dead code, architecture and unit tests, for before each commit.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { readyPackages, root, run } from './ready.mjs';
import { CHECKS, runRows } from './two-rows.mjs';

await readyPackages();
// Next's own types, where no build has written them yet.
if (!existsSync(join(root, 'next-env.d.ts'))) run(join(root, 'node_modules/.bin/next'), ['typegen']);

const tests = ['unit and architecture tests', 'vitest', 'run', '--project', 'unit', '--reporter=dot'];
const imports = ['imports', 'vitest', 'run', '--project', 'imports', '--reporter=dot'];
const results = await runRows([[tests], [...CHECKS, imports]]);
process.exit(results.every((r) => r.good) ? 0 : 1);
