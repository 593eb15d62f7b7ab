// npm run screenshots: one current picture of each main view, made from a fresh demo world.
import { readyBrowser, readyBuild, readyPackages, runTypeScript } from './ready.mjs';

readyPackages();
readyBuild();
readyBrowser();
runTypeScript('scripts/take-screenshots.ts');
