import 'server-only';
import { TRACKER_PORT } from '@/contract/tracker-port';

/** Where the gym's sensors are spoken to. */
const address = (): string => process.env.JORVIX_TRACKER ?? `http://127.0.0.1:${TRACKER_PORT}`;

/** Pass a request on to the sensors and stream back what they say; 503 when nothing answers there. */
export async function forwardToTracker(path: readonly string[], request: Request): Promise<Response> {
  const last = request.headers.get('last-event-id');
  try {
    const reply = await fetch(`${address()}/v1/${path.map(encodeURIComponent).join('/')}`, {
      method: request.method,
      headers: { 'content-type': 'application/json', ...(last === null ? {} : { 'last-event-id': last }) },
      body: request.method === 'POST' ? await request.text() : null,
      signal: request.signal,
      cache: 'no-store',
    });
    return new Response(reply.body, {
      status: reply.status,
      headers: {
        'content-type': reply.headers.get('content-type') ?? 'application/json',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      },
    });
  } catch {
    return Response.json({ reason: 'no-tracker', at: address() }, { status: 503 });
  }
}
