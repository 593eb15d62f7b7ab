import { JSONParser } from '@streamparser/json';
import { RECORDS_FORMAT } from '@/data/records-out';

/** Why a file is none that can be read. */
export type Unreadable = 'no-records' | 'newer' | 'cut-off';

/** What a file says of itself. */
interface Head {
  format?: unknown;
  version?: unknown;
  schema?: unknown;
}

/**
 * Reads a file of records bit by bit: each row as it comes, told with the name of its table. Tells what is wrong with
 * the file as a whole, or null. `schema`: the newest that is known here.
 */
export async function readRecords(
  bits: AsyncIterable<Uint8Array>,
  schema: number,
  onRow: (table: string, row: unknown) => void,
): Promise<Unreadable | null> {
  const parser = new JSONParser({ paths: ['$.format', '$.version', '$.schema', '$.tables.*.*'], keepStack: false });
  const head: Head = {};
  let isOver = false;
  let trouble: Unreadable | null = null;
  parser.onValue = ({ value, key, stack }) => {
    const table = stack[2]?.key;
    if (stack.length < 2) head[key as keyof Head] = value;
    else if (trouble === null && typeof table === 'string' && typeof key === 'number') onRow(table, value);
  };
  parser.onEnd = () => void (isOver = true);
  parser.onError = () => void (trouble ??= 'no-records');
  for await (const bit of bits) {
    // What comes after the end is not looked at.
    if (isOver) break;
    parser.write(bit);
    if (head.format !== undefined && head.format !== RECORDS_FORMAT.format) trouble ??= 'no-records';
    if (Number(head.version ?? 0) > RECORDS_FORMAT.version || Number(head.schema ?? 0) > schema) trouble ??= 'newer';
    if (trouble) return trouble;
  }
  if (head.format === undefined) return 'no-records';
  return isOver ? null : 'cut-off';
}
