import 'server-only';
import { toFieldIssues } from '@/contract/field';
import { calledSetSchema, shortId } from '@/contract/tracker';
import { TRACKER_PORT } from '@/contract/tracker-port';

/** Where the gym's sensors are spoken to. */
const address = (): string => process.env.JORVIX_TRACKER ?? `http://127.0.0.1:${TRACKER_PORT}`;

/** A sensor that does not begin to answer within this is not there, milliseconds. */
const PATIENCE_MS = 5000;
/** Longest list of sensors and longest refusal, bytes. */
const MOST_BYTES = 100_000;

type Kind = 'list' | 'line' | 'tell';

/** What of the protocol a path asks for (docs/tracker.md); null for what is none of it. */
function kindOf(method: string, [root, id, last, ...more]: readonly string[]): Kind | null {
  if (root !== 'sensors' || more.length > 0) return null;
  if (id === undefined) return method === 'GET' ? 'list' : null;
  if (!shortId.safeParse(id).success) return null;
  if (last === 'line') return method === 'GET' ? 'line' : null;
  return method === 'POST' && (last === 'set' || last === 'rest') ? 'tell' : null;
}

const silent = (): Response => Response.json({ reason: 'no-tracker', at: address() }, { status: 503 });

/** A called set as the protocol has it, and nothing else; what is none is told by its first field. */
async function bodyOf(request: Request, last: string | undefined): Promise<{ text: string } | { error: string }> {
  if (last === 'rest') return { text: '{}' };
  const parsed = calledSetSchema.safeParse(await request.json().catch(() => null));
  if (parsed.success) return { text: JSON.stringify(parsed.data) };
  const [first] = toFieldIssues(parsed.error);
  return { error: `${first!.path}: ${first!.message}` };
}

/** An answer that is read whole, as long as one may be; null for a longer one. */
async function readAll(reply: Response): Promise<string | null> {
  const length = Number(reply.headers.get('content-length') ?? 0);
  if (length > MOST_BYTES) return null;
  const text = await reply.text();
  return text.length > MOST_BYTES ? null : text;
}

/**
 * Pass on what the protocol of the sensors knows, and stream back what they say; 404 for anything else, 503 when
 * nothing answers there in time, or answers with something else: a redirect is not followed, and a line must be one of
 * events.
 */
export async function forwardToTracker(path: readonly string[], request: Request): Promise<Response> {
  const kind = kindOf(request.method, path);
  if (kind === null) return Response.json({ reason: 'not-of-the-protocol' }, { status: 404 });
  const told = kind === 'tell' ? await bodyOf(request, path[2]) : null;
  if (told && 'error' in told) return Response.json(told, { status: 400 });
  const last = request.headers.get('last-event-id');
  const late = new AbortController();
  const timer = setTimeout(() => late.abort(), PATIENCE_MS);
  try {
    const reply = await fetch(`${address()}/v1/${path.join('/')}`, {
      method: request.method,
      headers: { 'content-type': 'application/json', ...(last === null ? {} : { 'last-event-id': last.slice(0, 64) }) },
      body: told?.text ?? null,
      signal: AbortSignal.any([request.signal, late.signal]),
      redirect: 'error',
      cache: 'no-store',
    });
    const stream = reply.headers.get('content-type')?.startsWith('text/event-stream') === true;
    if (kind === 'line' && reply.ok) {
      if (!stream) return silent();
      const headers = { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' };
      return new Response(reply.body, { headers });
    }
    const text = await readAll(reply);
    if (text === null) return silent();
    const headers = { 'content-type': 'application/json', 'cache-control': 'no-store' };
    return new Response(reply.status === 204 ? null : text, { status: reply.status, headers });
  } catch {
    return silent();
  } finally {
    clearTimeout(timer);
  }
}
