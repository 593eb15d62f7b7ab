import { openUseCase } from '@/server/open-use-case';
import { writeTable } from '@/server/records-flow';
import { asFile, notHere } from '../../records/as-file';

/** A table of the records for a spreadsheet (CSV), for the owner. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  const table = writeTable(await openUseCase(), name);
  return table ? asFile(table, `jorvix-${name}.csv`, 'text/csv') : notHere();
}
