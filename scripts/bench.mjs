// npm run bench: ratios measured side by side in one run; the browser part drives the built application.
import { readyBrowser, readyBuild, readyPackages, runTypeScript } from './ready.mjs';

readyPackages();
readyBuild();
readyBrowser();
runTypeScript('bench/run.ts', process.argv.slice(2));
