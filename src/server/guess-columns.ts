import 'server-only';
import { SHEET_FIELDS, type SheetField, type SheetKind } from '@/core/record/spreadsheet';

/** Words by which headers tell what is in their column; the first that fits takes the column. */
const HEADER: Readonly<Record<SheetField, RegExp>> = {
  client: /^(client|athlete|trainee|member|person|who|name)\b(?!.*\bid\b)/,
  day: /\b(date|day|when|session|datum)\b/,
  time: /\b(time|start|hour)\b/,
  movement: /\b(movement|exercise|lift|drill|what)\b/,
  side: /\b(side|arm|leg)\b/,
  load: /\b(load|weight|kg|kgs|lb|lbs|pounds)\b/,
  reps: /\b(reps?|repetitions)\b/,
  sets: /\bsets\b/,
  tempo: /\btempo\b/,
  note: /\b(notes?|comments?|remarks?)\b/,
  name: /\b(name|client|athlete|member)\b/,
  stature: /\b(stature|height|tall)\b/,
  mass: /\b(mass|weight|bodyweight|kg|lbs?)\b/,
};

/** Columns that headers look to hold, each field once and each column once. */
export function guessColumns(kind: SheetKind, headers: readonly string[]): Partial<Record<SheetField, number>> {
  const free = new Set(headers.keys());
  const found: Partial<Record<SheetField, number>> = {};
  for (const field of SHEET_FIELDS[kind]) {
    const at = [...free].find((k) => HEADER[field].test(headers[k]!.toLowerCase()));
    if (at === undefined) continue;
    found[field] = at;
    free.delete(at);
  }
  return found;
}
