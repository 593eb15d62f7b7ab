import type { Client } from '@/contract/views/client';
import { SIDES, type Side } from '@/core/body/side';
import { RANGE_NAMES, type RangeName } from '@/core/body/active-range';
import { TRIAL_DEG, type ArmPathTrial } from '@/core/body/arm-path-test';
import type { BodyInput } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import { DAY_MS } from '@/core/body/clinician-limit';
import type { SaidIn } from '@/core/units/as-spoken';
import type { Region } from '@/core/body/region-line';
import { estimatedMassKg } from '@/core/body/estimated-mass';
import { MEASURE_NAMES, type MeasureName } from '@/core/body/segment-ratios';

export interface LimitValues {
  subject: string;
  side: string;
  most: number | '';
  setBy: string;
  from: string;
  until: string;
}

export interface TrialValues {
  belowDeg: number;
  behindCm: number | '';
}

export interface ClientValues extends Record<string, unknown> {
  name: string;
  statureCm: number | '';
  massKg: number | '';
  /** '' as in the gym. */
  saidIn: SaidIn | '';
  note: string;
  measuredCm: Record<MeasureName, number | ''>;
  rangeDeg: Record<Side, Record<RangeName, number | ''>>;
  notes: ClientNote[];
  unfelt: Region[];
  limits: LimitValues[];
  armPath: Record<Side, TrialValues[]>;
  chestLineDeg: number | '';
}

/**
 * Puts a value where its path says, such as `measuredCm.hipHeight`; what was wrong there, or at `told`, is wrong no
 * more. The same function however often it is drawn.
 */
export type SetValue = (path: string, value: unknown, told?: string) => void;

/** What makes the body. */
export type SizeValues = Pick<ClientValues, 'statureCm' | 'massKg' | 'measuredCm'>;

const tenth = (m: number): number => Math.round(m * 1000) / 10;
/** "2026-11-24" of a day number. */
export const dayText = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);

function toTrials(done: readonly ArmPathTrial[]): TrialValues[] {
  const paths = [...new Set([...TRIAL_DEG, ...done.map((t) => t.belowDeg)])].sort((a, b) => a - b);
  return paths.map((belowDeg) => {
    const t = done.find((x) => x.belowDeg === belowDeg);
    return { belowDeg, behindCm: t ? tenth(t.behindM) : '' };
  });
}

export const newLimit = (today: string): LimitValues => ({
  subject: 'load-in-hand',
  side: 'both',
  most: '',
  setBy: '',
  from: today,
  until: '',
});

/** Keys with dots would be read as paths by the form, so ranges are set as a whole. */
export function toClientValues(c: Client | null): ClientValues {
  return {
    name: c?.name ?? '',
    statureCm: c ? tenth(c.statureM) : '',
    massKg: c && !c.massEstimated ? c.massKg : '',
    saidIn: c?.saidIn ?? '',
    note: c?.note ?? '',
    measuredCm: Object.fromEntries(
      MEASURE_NAMES.map((n) => [n, c?.measuredM[n] === undefined ? '' : tenth(c.measuredM[n])]),
    ) as ClientValues['measuredCm'],
    rangeDeg: Object.fromEntries(
      SIDES.map((s) => [s, Object.fromEntries(RANGE_NAMES.map((n) => [n, c?.range[s]?.[n] ?? '']))]),
    ) as ClientValues['rangeDeg'],
    notes: [...(c?.notes ?? [])],
    unfelt: [...(c?.unfelt ?? [])],
    limits: (c?.limits ?? []).map((l) => ({
      subject: l.subject,
      side: l.side,
      most: l.most,
      setBy: l.setBy,
      from: dayText(l.fromDay),
      until: l.untilDay === null ? '' : dayText(l.untilDay),
    })),
    armPath: { left: toTrials(c?.armPath.left ?? []), right: toTrials(c?.armPath.right ?? []) },
    chestLineDeg: c?.chestLineDeg ?? '',
  };
}

/** The body as typed so far; null while stature or mass make none. */
export function toBodyInput(v: SizeValues): BodyInput | null {
  if (typeof v.statureCm !== 'number' || v.statureCm < 120 || v.statureCm > 230) return null;
  const measuredM = Object.fromEntries(
    MEASURE_NAMES.flatMap((n) =>
      typeof v.measuredCm[n] === 'number' && v.measuredCm[n] > 0 ? [[n, v.measuredCm[n] / 100]] : [],
    ),
  );
  return {
    statureM: v.statureCm / 100,
    massKg: typeof v.massKg === 'number' ? v.massKg : estimatedMassKg(v.statureCm / 100),
    measuredM,
  };
}
