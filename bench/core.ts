import { benchOrder } from './order';
import { benchPropose } from './propose';
import { benchBook, benchProfile, benchSolver } from './solver';

// Profile, solver, book, order and proposals: run as one bundle, as the browser and the solver's thread run them.
benchProfile();
benchSolver();
benchBook();
benchOrder();
benchPropose();
