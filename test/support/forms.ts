import type { Db } from '@/data/open-db';
import type { SaveResult } from '@/contract/save-result';
import { RANGE_NAMES } from '@/core/body/active-range';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { savePieceForm } from '@/server/kit';
import { at } from './world';

export const ITEM = 'anselm-2026-11-24-0';
const NONE = Object.fromEntries(RANGE_NAMES.map((n) => [n, '']));
export const EMPTY = { left: NONE, right: NONE };
export const MEASURES = Object.fromEntries(MEASURE_NAMES.map((n) => [n, '']));
export const CLIENT = {
  name: 'Ilse Vantongeren',
  statureCm: 168,
  massKg: 61,
  note: '',
  measuredCm: MEASURES,
  rangeDeg: EMPTY,
  notes: [],
  unfelt: [],
  limits: [],
  armPath: { left: [], right: [] },
};
export const LIMIT = {
  subject: 'load-in-hand',
  side: 'both',
  most: 8,
  setBy: 'physiotherapist',
  from: '2026-11-01',
  until: '',
};
const COLUMN = {
  columnKind: 'twin',
  holes: 20,
  numberedFrom: 'bottom',
  readings: [
    { hole: 1, heightCm: 25 },
    { hole: 20, heightCm: 215 },
  ],
  leftNumbering: 'same',
  leftNumberedFrom: 'bottom',
  leftReadings: [],
  leftHoles: '',
  twinSpacingCm: 240,
  pivotHeightCm: '',
  armCm: '',
  swingDeg: 0,
  pulleyRatio: 1,
  clearanceCm: 5,
  travelCm: 300,
  floorPlateCm: 0,
  minDistanceCm: -30,
  maxDistanceCm: 200,
  stack: '5 10, 15',
  addOns: '',
  stackUnit: 'kg',
};
export const piece = (kind: string, spec: object) => ({ name: 'Piece', outOfOrder: 'no', kind, spec });
export const keepColumn = (db: Db, spec: object, gym = 'tidewater') =>
  savePieceForm(at(db), gym, null, piece('column', { ...COLUMN, ...spec }));
export const issuesOf = (r: SaveResult<unknown>) => (r.ok ? [] : r.issues.map((i) => `${i.path}: ${i.message}`));

/** A movement on a cable, planned today for whoever is named. */
export const PLAN = {
  ...{ movement: 'cable-fly-level', side: 'both', stationId: 'long-pair', attachmentId: 'd-handle' },
  ...{ startsAt: '14:30', sets: 3, reps: 12, tempo: '3-1-2-1', load: 10, unit: 'kg' },
};
