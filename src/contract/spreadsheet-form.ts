import { z } from 'zod';
import { DAY_ORDERS, NEEDED_FIELDS, SHEET_FIELDS, SHEET_KINDS } from '@/core/record/spreadsheet';
import { LOAD_UNITS } from '@/core/units/mass';
import { EXPECTED } from '@/messages/expected';
import { oneOf, text } from './field';

const column = z.int().min(0).max(499);
/** A name in a file, and what it stands for; an empty one is left out. */
const names = z.record(text(1, 200), text(0, 64));

/** How a spreadsheet is read: what its rows are, which column (from 0) holds what, how days and loads are written. */
export const sheetReadingSchema = z
  .strictObject({
    kind: oneOf(SHEET_KINDS),
    columns: z.record(z.string(), column),
    dayOrder: oneOf(DAY_ORDERS),
    unit: oneOf(LOAD_UNITS),
    /** The gym that past sets were done in. */
    gymId: text(0, 64),
    /** Whose sets they all are; empty where a column says so. */
    clientId: text(0, 64),
  })
  .check(({ value, issues }) => {
    const known: readonly string[] = SHEET_FIELDS[value.kind];
    const lacks = NEEDED_FIELDS[value.kind].filter((f) => value.columns[f] === undefined);
    const strange = Object.keys(value.columns).filter((f) => !known.includes(f));
    const whose = value.kind === 'sets' && value.clientId === '' && value.columns.client === undefined;
    const told = (field: string, message: string): void =>
      void issues.push({ code: 'custom', path: [field], message, input: value });
    for (const field of lacks) told(field, EXPECTED.column);
    for (const field of strange) told(field, EXPECTED.unknownKey);
    if (whose) told('client', EXPECTED.columnOrClient);
  });

/** How a spreadsheet is read, checked. */
export type SheetReading = z.output<typeof sheetReadingSchema>;

/** What names in a spreadsheet stand for: movements by their id, clients by theirs. */
export const sheetNamesSchema = z.strictObject({ movements: names, clients: names });
/** The same, checked. */
export type SheetNames = z.output<typeof sheetNamesSchema>;
