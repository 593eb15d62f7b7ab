import { sharedDb } from '@/data/open-db';
import { recordEvents } from '@/server/record-events';

/** Takes deliveries from devices' outboxes. Each event id is kept once, so a delivery may be sent again. */
export async function POST(request: Request): Promise<Response> {
  const delivery = await request.json().catch(() => null);
  const result = recordEvents(sharedDb(), delivery, Date.now());
  if (result.ok) return Response.json(result.reply);
  return Response.json({ reason: result.reason, issues: result.issues }, { status: result.reason === 'malformed' ? 400 : 409 });
}
