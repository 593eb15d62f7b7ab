// npm start: set up what is missing and serve the database named by JORVIX_DB, without demo data.
import { readyBuild, readyPackages } from './ready.mjs';
import { port, serve } from './serve.mjs';

readyPackages();
readyBuild();
serve(port(), process.env.JORVIX_DB ?? './data/jorvix.db');
