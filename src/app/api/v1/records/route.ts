import { openUseCase } from '@/server/open-use-case';
import { lookAtRecords, writeRecords } from '@/server/records-flow';
import { asFile, notHere } from './as-file';

/** Every record as one JSON document, for the owner. */
export async function GET(): Promise<Response> {
  const records = writeRecords(await openUseCase(), null);
  return records ? asFile(records, 'jorvix-records.json', 'application/json') : notHere();
}

/** A file of records is looked at, not taken: a line of JSON for how far it is, the last one for what it would do. */
export async function POST(request: Request): Promise<Response> {
  const uc = await openUseCase();
  const looked = request.body && lookAtRecords(uc, request.body, request.signal);
  if (!looked) return notHere();
  return new Response(looked, { headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' } });
}
