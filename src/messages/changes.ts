import type { ClientNote } from '@/core/body/client-note';
import { DAY_MS, type ClinicianLimit } from '@/core/body/clinician-limit';
import type { RangeName } from '@/core/body/active-range';
import type { Region } from '@/core/body/region-line';
import type { MeasureName } from '@/core/body/segment-ratios';
import type { Placement } from '@/core/setup/setup-problem';
import type { StandingQuestion } from '@/core/book/standing-practice';
import type { Muscle } from '@/core/week/muscle';
import { movementName } from './book';
import { dateOf, moment } from './day';
import { limitMostText, MEASURE_LABEL, RANGE_LABEL } from './measures';
import { REGION_NAME } from './movements';
import { NOTE_TEXT } from './notes';
import { practiceName, STANDING_TEXT } from './practices';
import { setupPlaceText } from './setup-book';
import { MUSCLE_NAME } from './week';

/** A change at one place of a thing. */
interface PlaceChange {
  readonly subject: string;
  readonly keys: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}

const SUBJECT: Readonly<Record<string, string>> = {
  client: 'Client',
  screening: 'Screening',
  plan: 'Plan',
  kit: 'Kit',
  gym: 'Gym',
  variant: 'Variant',
  setup: 'Set-up',
  care: 'Care',
  account: 'Account',
  records: 'Records',
};

/** What kind of thing was changed, and which. */
export const subjectText = (subject: string, name: string | null): string =>
  [SUBJECT[subject] ?? subject, name].filter(Boolean).join(': ');

const FIELD: Readonly<Record<string, string>> = {
  name: 'Name',
  statureM: 'Stature',
  massKg: 'Mass',
  note: 'Note shown on the floor',
  chestLineDeg: 'Lower-chest line',
  outOfOrder: 'Out of order',
  putAway: 'Put away',
  order: 'Order of the session',
  session: 'Session',
  planned: 'Planned movement',
  skipped: 'Skipped, because',
  pinned: 'Pinned in the order',
  turns: 'Sets in turns',
  together: 'Trains together with',
  finished: 'Finished before its end',
  calledOff: 'Called off',
  inPlan: 'In the plan',
  changeTimes: 'Seconds between movements',
  column: 'Column',
  weekRules: 'Sets of a week',
  template: 'Template',
  massEstimated: 'Mass is an estimate',
  screeningDays: 'Screening stands for, days',
  saidIn: 'Said in',
  trainerId: 'Trainer',
  cover: 'Stands in',
  passphrase: 'Passphrase',
  role: 'Role',
  ended: 'May sign in',
  device: 'Device signed out',
  backup: 'Backup',
  restored: 'Restored',
  sentOut: 'Records sent out as a file',
  erased: 'Erased for good',
  program: 'Program with a token',
  takenIn: 'Records taken in from a file',
  cue: 'Cue',
  options: 'Choices',
  spec: 'Measured',
};

const dayText = (day: number): string => new Date(day * DAY_MS).toISOString().slice(0, 10);

const limitText = (l: ClinicianLimit): string =>
  `${limitMostText(l)}, set by ${l.setBy}, ` +
  `from ${dayText(l.fromDay)}${l.untilDay === null ? '' : ` until ${dayText(l.untilDay)}`}`;

const isRecord = (v: unknown): v is Readonly<Record<string, unknown>> => typeof v === 'object' && v !== null;

/** A value as it would be said; `people`: names by account. */
function valueText({ keys, subject }: PlaceChange, value: unknown, people: ReadonlyMap<string, string>): string {
  const [first] = keys;
  if (value === undefined || value === null || value === '') return '';
  if (first === 'limits' && isRecord(value)) return limitText(value as unknown as ClinicianLimit);
  if (first === 'notes') return NOTE_TEXT[value as ClientNote]?.name ?? String(value);
  if (first === 'unfelt' || first === 'goals') return REGION_NAME[value as Region] ?? String(value);
  if (first === 'range') return `${String(value)}°`;
  if (first === 'armPath' && isRecord(value)) return `${Math.round(Number(value.behindM) * 1000) / 10} cm`;
  if (first === 'measuredM' || first === 'statureM') return `${Math.round(Number(value) * 1000) / 10} cm`;
  if (first === 'massKg') return `${String(value)} kg`;
  if (first === 'cover' && isRecord(value))
    return `${people.get(String(value.accountId)) ?? String(value.accountId)}, ${dateOf(Number(value.untilDay))}`;
  if (first === 'practices') return STANDING_TEXT[keys[1] as StandingQuestion]?.options[String(value)] ?? String(value);
  if (first === 'backup' || first === 'sentOut' || first === 'takenIn') return moment(Number(value));
  if (first === 'movement' && isRecord(value)) return setupPlaceText(value.placement as Placement | null, null);
  if (first === 'trainerId') return people.get(String(value)) ?? String(value);
  if (subject === 'screening' && isRecord(value))
    return `${dayText(Number(value.day))}, by ${String(value.doneBy)}: ${String(value.procedure)}`;
  if (subject === 'plan' && isRecord(value))
    return `${movementName(String(value.movement))}, ${String(value.sets)} × ${String(value.reps)}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (isRecord(value)) return 'name' in value ? String(value.name) : JSON.stringify(value).slice(0, 160);
  return String(value).slice(0, 400);
}

function placeText({ subject, keys }: PlaceChange): string {
  const [first, second, third] = keys;
  if (first === undefined) return SUBJECT[subject] ?? subject;
  if (first === 'limits') return 'Clinician’s limit';
  if (first === 'notes') return 'Observation';
  if (first === 'unfelt') return 'Does not feel';
  if (first === 'goals') return 'Trains for';
  if (first === 'measuredM') return MEASURE_LABEL[second as MeasureName] ?? 'Measures';
  if (first === 'range')
    return third === undefined ? 'Range' : `${RANGE_LABEL[third as RangeName] ?? third}, ${second}`;
  if (first === 'armPath') return `Arm path${second === undefined ? '' : `, ${second}`}`;
  if (first === 'movement') return movementName(second ?? '');
  if (first === 'practices') return practiceName(second as StandingQuestion);
  if (first === 'weekRules') return [FIELD.weekRules, MUSCLE_NAME[second as Muscle], third].filter(Boolean).join(', ');
  return FIELD[first] ?? first;
}

/** One change in words: where, from what, to what; what was taken away has ended, what was not there is new. */
export function changeText(
  change: PlaceChange,
  people: ReadonlyMap<string, string>,
): { readonly what: string; readonly before: string; readonly after: string } {
  const [before, after] = [change.before, change.after].map((v) => valueText(change, v, people)) as [string, string];
  return {
    what: placeText(change),
    before: before === '' ? 'nothing' : before,
    after: after === '' ? (before === '' ? 'nothing' : 'ended') : after,
  };
}
