import { benchOrder } from './order';
import { benchBook, benchProfile, benchSolver } from './solver';

// Profile, solver, book and order: run as one bundle, as the browser and the solver's thread run them.
benchProfile();
benchSolver();
benchBook();
benchOrder();
