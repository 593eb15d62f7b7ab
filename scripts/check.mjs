// npm run check: types, lint, architecture and unit tests, for before each commit.
import { join } from 'node:path';
import { readyPackages, root, run } from './ready.mjs';

readyPackages();
const bin = (name) => join(root, 'node_modules/.bin', name);
run(bin('tsc'), ['--noEmit', '-p', '.']);
run(bin('eslint'), ['.']);
run(bin('vitest'), ['run', '--project', 'unit', '--reporter=dot']);
