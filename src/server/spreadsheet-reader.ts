import 'server-only';
import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import Papa from 'papaparse';

/** Longer than this a cell is none: a quote was opened and never closed. */
const LONGEST_CELL = 20_000;
/** Longer than this a row is none, for the same reason. */
const MOST_OF_A_ROW = 1_000_000;

/** Thrown where a quote that is never closed swallows the rest of a file. */
export class OpenQuote extends Error {}

/**
 * How a file's letters are written: by its mark where it has one, else UTF-8 where all of it is, else the code page
 * that spreadsheets in western Europe and America write.
 */
async function encodingOf(file: string): Promise<string> {
  const start = await open(file);
  const { buffer } = await start.read(Buffer.alloc(2), 0, 2, 0);
  await start.close();
  if (buffer[0] === 0xff && buffer[1] === 0xfe) return 'utf-16le';
  if (buffer[0] === 0xfe && buffer[1] === 0xff) return 'utf-16be';
  const strict = new TextDecoder('utf-8', { fatal: true });
  try {
    for await (const bit of createReadStream(file) as AsyncIterable<Buffer>) strict.decode(bit, { stream: true });
    strict.decode();
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

async function* textOf(file: string, onRead: (bytes: number) => void): AsyncGenerator<string> {
  const decoder = new TextDecoder(await encodingOf(file));
  for await (const bit of createReadStream(file) as AsyncIterable<Buffer>) {
    onRead(bit.length);
    yield decoder.decode(bit, { stream: true });
  }
  yield decoder.decode();
}

/** What stands between cells and between rows, as the start of a text has it. */
function signsOf(text: string): { readonly delimiter: string; readonly newline: '\n' | '\r' | '\r\n' } {
  const { delimiter, linebreak } = Papa.parse(text, { preview: 20 }).meta;
  return { delimiter, newline: linebreak as '\n' };
}

/**
 * Rows of a table of text (RFC 4180; whatever stands between its cells), the headers first. `onRead` is told how many
 * bytes were read. Throws `OpenQuote`.
 */
export async function* sheetRows(file: string, onRead: (bytes: number) => void = () => {}) {
  let parser: Papa.Parser | null = null;
  let rest = '';
  function* rowsIn(isEnd: boolean): Generator<readonly string[]> {
    if (rest === '') return;
    parser ??= new Papa.Parser(signsOf(rest));
    const { data, meta } = parser.parse(rest, 0, !isEnd) as Papa.ParseResult<string[]>;
    rest = isEnd ? '' : rest.slice(meta.cursor);
    if (rest.length > MOST_OF_A_ROW) throw new OpenQuote();
    for (const row of data) {
      if (row.some((cell) => cell.length > LONGEST_CELL)) throw new OpenQuote();
      yield row;
    }
  }
  for await (const text of textOf(file, onRead)) {
    rest += text;
    yield* rowsIn(false);
  }
  yield* rowsIn(true);
}

/** Whether a row has nothing in it. */
export const isBlank = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');
