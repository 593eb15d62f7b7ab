import { readyBuild, readyPackages } from './ready.mjs';

readyPackages();
readyBuild();
