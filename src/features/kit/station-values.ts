import type { Column, Room } from '@/core/kit/column';
import { calibrateColumn, type ColumnFit, type ColumnMisfit, type HoleReading } from '@/core/kit/calibrate-column';

export interface ReadingValue {
  hole: number | '';
  heightCm: number | '';
}

export interface StationValues extends Record<string, unknown> {
  name: string;
  holes: number | '';
  numberedFrom: string;
  readings: ReadingValue[];
  twinSpacingCm: number | '';
  pulleyRatio: number | '';
  clearanceCm: number | '';
  travelCm: number | '';
  minDistanceCm: number | '';
  maxDistanceCm: number | '';
  stack: string;
  stackUnit: string;
}

export interface StationSheetData {
  readonly id: string;
  readonly name: string;
  readonly column: Column;
  readonly room: Room;
  readonly readings: readonly HoleReading[];
  readonly stackG: readonly number[];
}

const tenth = (m: number): number => Math.round(m * 1000) / 10;

/** What a new column starts from where the trainer has nothing to measure: the rest is left empty. */
const NEW: StationValues = {
  name: '', holes: '', numberedFrom: 'bottom', readings: [{ hole: '', heightCm: '' }, { hole: '', heightCm: '' }], twinSpacingCm: '', pulleyRatio: 1, clearanceCm: 5, travelCm: 300,
  minDistanceCm: -30, maxDistanceCm: 200, stack: '', stackUnit: 'kg',
};

export function toStationValues(s: StationSheetData | null): StationValues {
  if (!s) return structuredClone(NEW);
  return {
    name: s.name,
    holes: s.column.holes,
    numberedFrom: s.column.numberedFrom,
    readings: s.readings.map((r) => ({ hole: r.hole, heightCm: tenth(r.heightM) })),
    twinSpacingCm: tenth(s.column.twinSpacingM),
    pulleyRatio: s.column.pulleyRatio,
    clearanceCm: tenth(s.column.clearanceM),
    travelCm: tenth(s.column.travelM),
    minDistanceCm: tenth(s.room.minDistanceM),
    maxDistanceCm: tenth(s.room.maxDistanceM),
    stack: s.stackG.map((g) => Math.round(g / 10) / 100).join(' '),
    stackUnit: 'kg',
  };
}

/** The fit of the readings typed so far; null until there are two whole ones. */
export function fitOf(v: StationValues): ColumnFit | ColumnMisfit | null {
  const whole = v.readings.filter((r) => typeof r.hole === 'number' && typeof r.heightCm === 'number');
  if (whole.length < 2 || typeof v.holes !== 'number') return null;
  return calibrateColumn(whole.map((r) => ({ hole: r.hole as number, heightM: (r.heightCm as number) / 100 })), v.holes, v.numberedFrom === 'top' ? 'top' : 'bottom');
}
