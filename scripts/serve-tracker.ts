import { TRACKER_PORT } from '@/contract/tracker-port';
import { serveTracker } from '../tracker/server';

const port = Number(process.env.JORVIX_TRACKER_PORT ?? TRACKER_PORT);
serveTracker().listen(port, '127.0.0.1', () =>
  console.log(`Simulated stack sensors speak at http://127.0.0.1:${port}/v1/sensors; connect one on the set screen.`),
);
