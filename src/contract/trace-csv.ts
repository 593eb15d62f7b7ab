import Papa from 'papaparse';
import { MOST_POINTS, type TracePoint } from '@/core/trace/segment-reps';
import type { FieldIssue } from './field';
import { EXPECTED } from '@/messages/expected';

export type TraceCsv =
  | { readonly ok: true; readonly points: readonly TracePoint[] }
  | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** First columns of a trace file: seconds and metres, up while lifting. */
const HEAD = ['t_s', 'x_m'] as const;

/** A trace as it leaves: seconds to the millisecond, metres to a tenth of a millimetre (RFC 4180). */
export const traceCsv = (points: readonly TracePoint[]): string =>
  [HEAD.join(','), ...points.map((p) => `${p.tS.toFixed(3)},${p.xM.toFixed(4)}`), ''].join('\r\n');

/** A trace as CSV with the columns `t_s` and `x_m`, one reading a line; further columns are left alone. */
export function parseTraceCsv(text: string): TraceCsv {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim(),
  });
  const missing = HEAD.filter((h) => !(meta.fields ?? []).includes(h));
  if (missing.length > 0)
    return { ok: false, issues: missing.map((h) => ({ path: h, message: EXPECTED.columnNamed(h) })) };
  if (data.length < 2) return { ok: false, issues: [{ path: 't_s', message: EXPECTED.twoReadings }] };
  if (data.length > MOST_POINTS)
    return { ok: false, issues: [{ path: 't_s', message: EXPECTED.atMost(MOST_POINTS, 'readings') }] };
  const points: TracePoint[] = [];
  for (const [i, row] of data.entries()) {
    for (const h of HEAD)
      if (!Number.isFinite(Number(row[h])) || (row[h] ?? '').trim() === '')
        return {
          ok: false,
          issues: [{ path: `line ${i + 2}, ${h}`, message: EXPECTED.numberNot(row[h] ?? '') }],
        };
    points.push({ tS: Number(row['t_s']), xM: Number(row['x_m']) });
  }
  return { ok: true, points };
}
