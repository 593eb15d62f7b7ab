import type { FloorEvent } from '@/core/record/floor-event';
import { normalHeadingDeg } from '@/core/units/turn';
import { BEFORE_ACCOUNTS } from '../actor';
import { floorEventSchema } from '../floor-event';
import { completeOptions } from './options-record';
import { OLDER_EVENT_VERSIONS } from './floor-event-version';
import { readRecord, type Json, type ReadRecord, type Upcast } from './record';
import { EXPECTED } from '@/messages/expected';

const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null;

/** Headings past half a turn were kept as they were solved. */
const normalPlace = (place: unknown): unknown =>
  isObject(place) && typeof place.yawDeg === 'number' && Number.isFinite(place.yawDeg)
    ? { ...place, yawDeg: normalHeadingDeg(place.yawDeg) }
    : place;

/** Version 1 named nobody; its set-ups had fewer choices by older names, and headings of any size. */
const toVersion2: Upcast = (older) => {
  const named = { actorId: BEFORE_ACCOUNTS, ...older };
  if (older.kind !== 'setup-saved') return named;
  const { placement, solved, options } = older;
  return {
    ...named,
    placement: normalPlace(placement),
    solved: normalPlace(solved),
    options: isObject(options) ? completeOptions(options) : options,
  };
};

/** What makes the next version of each older one. */
const UPCAST: Readonly<Record<(typeof OLDER_EVENT_VERSIONS)[number], Upcast>> = { 1: toVersion2 };
const UPCASTS = OLDER_EVENT_VERSIONS.map((version) => UPCAST[version]);

/** Read an event as it was written; one without a version was written by the first. */
export function readFloorEvent(written: unknown): ReadRecord<FloorEvent> {
  if (!isObject(written)) return { ok: false, issues: [{ path: '', message: EXPECTED.anObject }] };
  const { version = 1, ...event } = written;
  return readRecord(floorEventSchema, UPCASTS, Number(version), event);
}
