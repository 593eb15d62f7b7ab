import { openUseCase } from '@/server/open-use-case';
import { writeCalendar } from '@/server/calendar';

/** The sessions of who asks as an iCalendar file. */
export async function GET(): Promise<Response> {
  return new Response(writeCalendar(await openUseCase()), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="jorvix-sessions.ics"',
      'Cache-Control': 'no-store',
    },
  });
}
