import { benchBook, benchProfile, benchSolver } from './solver';

// Profile, solver and book: run as one bundle, as the browser and the solver's thread run them.
benchProfile();
benchSolver();
benchBook();
