// npm run screenshots: one current picture of each main view, made from a fresh demo world.
import { readyBrowser, readyBuild, readyPackages, runTypeScript } from './ready.mjs';

const compiled = readyPackages();
readyBuild();
readyBrowser();
await compiled;
runTypeScript('scripts/take-screenshots.ts');
