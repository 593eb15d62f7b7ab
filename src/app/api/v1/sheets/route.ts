import { openUseCase } from '@/server/open-use-case';
import { openSheet } from '@/server/spreadsheets';
import { notHere } from '../records/as-file';

/** A spreadsheet comes in, for the owner: its headers and how it may be read. Nothing of it is taken. */
export async function POST(request: Request): Promise<Response> {
  const uc = await openUseCase();
  const sheet = request.body && (await openSheet(uc, request.body, request.signal));
  return sheet ? Response.json(sheet, { headers: { 'Cache-Control': 'no-store' } }) : notHere();
}
