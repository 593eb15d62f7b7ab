// The built application in one process: pages by Next, deliveries of taps by a door of their own. PORT and JORVIX_DB
// say where.
import { createServer } from 'node:http';
import { root } from './ready.mjs';

process.env.NODE_ENV = 'production';
process.env.NEXT_TELEMETRY_DISABLED = '1';
const { default: next } = await import('next');
const { takeDelivery } = await import('../.next/door.mjs');
const port = Number(process.env.PORT);
const app = next({ dev: false, dir: root, hostname: '127.0.0.1', port });
await app.prepare();
const serve = app.getRequestHandler();
createServer((request, response) => {
  if (request.method === 'POST' && request.url === '/api/v1/floor-events')
    takeDelivery(request, response, (error) => console.error(error));
  else void serve(request, response);
}).listen(port, '127.0.0.1', () =>
  console.log(`\nJorvix is open at http://127.0.0.1:${port}\nDatabase: ${process.env.JORVIX_DB ?? 'default'}\n`),
);
