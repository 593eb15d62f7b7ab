import { readyBuild, readyPackages } from './ready.mjs';

const compiled = readyPackages();
readyBuild();
await compiled;
