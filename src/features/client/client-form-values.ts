import { RANGE_NAMES, SIDES, type ActiveRangeDeg, type RangeName, type Side } from '@/core/body/active-range';
import { MEASURE_NAMES, type MeasureName } from '@/core/body/segment-ratios';
import type { BodyInput } from '@/core/body/body-model';

export interface ClientValues extends Record<string, unknown> {
  name: string;
  statureCm: number | '';
  massKg: number | '';
  note: string;
  measuredCm: Record<MeasureName, number | ''>;
  rangeDeg: Record<Side, Record<RangeName, number | ''>>;
}

export interface ClientSheetData extends BodyInput {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly range: ActiveRangeDeg;
}

const tenth = (m: number): number => Math.round(m * 1000) / 10;

/** Keys with dots would be read as paths by the form, so the motions go by their last word. */
export function toClientValues(c: ClientSheetData | null): ClientValues {
  return {
    name: c?.name ?? '',
    statureCm: c ? tenth(c.statureM) : '',
    massKg: c?.massKg ?? '',
    note: c?.note ?? '',
    measuredCm: Object.fromEntries(MEASURE_NAMES.map((n) => [n, c?.measuredM[n] === undefined ? '' : tenth(c.measuredM[n])])) as ClientValues['measuredCm'],
    rangeDeg: Object.fromEntries(SIDES.map((s) => [s, Object.fromEntries(RANGE_NAMES.map((n) => [n, c?.range[s]?.[n] ?? '']))])) as ClientValues['rangeDeg'],
  };
}

/** The body as typed so far; null while stature or mass make none. */
export function toBodyInput(v: ClientValues): BodyInput | null {
  if (typeof v.statureCm !== 'number' || v.statureCm < 120 || v.statureCm > 230) return null;
  const measuredM = Object.fromEntries(MEASURE_NAMES.flatMap((n) => (typeof v.measuredCm[n] === 'number' && v.measuredCm[n] > 0 ? [[n, v.measuredCm[n] / 100]] : [])));
  return { statureM: v.statureCm / 100, massKg: typeof v.massKg === 'number' ? v.massKg : 70, measuredM };
}
