import { answerDelivery } from '@/server/deliveries';
import { openUseCase } from '@/server/open-use-case';

/** Takes deliveries from devices' outboxes where no door of its own does (`scripts/serve-app.mjs`). */
export async function POST(request: Request): Promise<Response> {
  const { status, body } = answerDelivery(await openUseCase(), await request.json().catch(() => null));
  return Response.json(body, { status });
}
