import { openUseCase } from '@/server/open-use-case';
import { writeRecords } from '@/server/records-flow';
import { asFile, notHere } from '../as-file';

/** The records of one client as one JSON document, for who cares for them. */
export async function GET(
  _: Request,
  { params }: { readonly params: Promise<{ clientId: string }> },
): Promise<Response> {
  const records = writeRecords(await openUseCase(), (await params).clientId);
  return records ? asFile(records, 'jorvix-client.json', 'application/json') : notHere();
}
