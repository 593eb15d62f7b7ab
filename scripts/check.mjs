// npm run check: types, lint, architecture and unit tests, for before each commit.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { readyPackages, root, run } from './ready.mjs';

readyPackages();
const bin = (name) => join(root, 'node_modules/.bin', name);
// Next's own types, where no build has written them yet.
if (!existsSync(join(root, 'next-env.d.ts'))) run(bin('next'), ['typegen']);
run(bin('tsc'), ['--noEmit', '-p', '.']);
run(bin('eslint'), ['.']);
run(bin('vitest'), ['run', '--project', 'unit', '--reporter=dot']);
