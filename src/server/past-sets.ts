import 'server-only';
import dayjs from 'dayjs';
import { v5 as uuidFrom } from 'uuid';
import type { WorkingSide } from '@/core/body/side';
import { entryOf, findEntry, type MovementId } from '@/core/book/book';
import { readLoads, readReps, readSide, readTimes, type CellTrouble, type SheetField } from '@/core/record/spreadsheet';
import { spellTempo, parseWrittenTempo } from '@/core/tempo/tempo';
import type { SheetNames, SheetReading } from '@/contract/spreadsheet-form';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import { MOST_SETS } from '@/contract/planned-fields';
import { readDay, readTime, type CellDay } from './spreadsheet-cells';

/** A spreadsheet's rows as they are to be read, and for whom. */
export interface SheetPlan {
  readonly reading: SheetReading;
  readonly names: SheetNames;
  readonly headers: readonly string[];
  readonly actorId: string;
  readonly nowMs: number;
}

/** What is wrong with a row: at which field, and what stands there. */
export interface CellFault {
  readonly field: SheetField;
  readonly trouble: CellTrouble;
}

/** Rows that go into a table of the records by its columns, each with the sheet's row that it comes from. */
export type Into = (
  table: string,
  columns: readonly string[],
) => (values: readonly (string | number | null)[], no: number) => void;

const TAP_COLUMNS = [
  ...['id', 'device_id', 'seq', 'at_ms', 'received_at_ms', 'client_id', 'item_id', 'movement', 'kind', 'body'],
  ...['actor_id', 'body_version'],
];

interface DoneItem {
  readonly id: string;
  readonly movement: MovementId;
  readonly side: WorkingSide;
  /** Sets of it are on record otherwise: these are not taken. */
  readonly isOnRecord: boolean;
  sets: number;
  reps: number;
  loadG: number;
  readonly tempo: string;
}

interface DoneDay {
  readonly id: string;
  readonly clientId: string;
  readonly startsAtMs: number;
  sets: number;
  readonly items: Map<string, DoneItem>;
}

interface Row {
  readonly clientId: string;
  readonly movement: MovementId;
  readonly side: WorkingSide;
  readonly reps: readonly number[];
  readonly loads: readonly number[];
  readonly tempo: string;
  readonly note: string;
  readonly dayMs: number;
  readonly timeMs: number | null;
}

/** Its own sort of ids: the same row of a sheet is the same set whenever it comes in. */
const SPACE = '5b1f6c52-8c0e-4f53-9a39-4f6f0a1f7c11';
const NOON_MS = 12 * 3_600_000;
const MINUTE_MS = 60_000;
/** A set with its rest, for how long a day's session is said to have been. */
const SET_MINUTES = 3;
const MOST_SETS_A_DAY = 200;
const [SHORTEST_MINUTES, LONGEST_MINUTES] = [10, 240];
const LONGEST_NOTE = 1000;

/** What a name stands for; a name that every object has is none unless it was said. */
const meant = (names: Readonly<Record<string, string>>, said: string): string =>
  Object.hasOwn(names, said.toLowerCase()) ? names[said.toLowerCase()]! : '';

/** What is asked of the records while rows are read. */
type IsOnRecord = (of: {
  clientId: string;
  fromMs: number;
  untilMs: number;
  movement: string;
  side: string;
  itemId: string;
}) => boolean;

/**
 * Sets of a spreadsheet as sessions, planned movements and what would have been tapped. Of times a sheet knows the day
 * at most: sets of a day stand a minute apart in the order of the rows and take no time, by which they are known as
 * sets without times of their own.
 */
export class PastSets {
  private readonly days = new Map<string, DoneDay>();
  private readonly tap: ReturnType<Into>;

  constructor(
    private readonly plan: SheetPlan,
    private readonly into: Into,
    private readonly isOnRecord: IsOnRecord,
  ) {
    this.tap = into('floor_event', TAP_COLUMNS);
  }

  /** Takes a row of the sheet; tells what is wrong with it, or null. `no`: its number in the sheet. */
  take(cells: readonly string[], no: number): CellFault | null {
    const row = this.read(cells);
    if ('trouble' in row) return row;
    const day = this.dayOf(row);
    const item = this.itemOf(day, row);
    if (item.isOnRecord) return { field: 'movement', trouble: 'on-record' };
    if (day.sets + row.reps.length > MOST_SETS_A_DAY) return { field: 'reps', trouble: 'too-many' };
    row.reps.forEach((reps, k) => this.addSet(day, item, row, reps, row.loads[k] ?? row.loads[0]!, no));
    return null;
  }

  private cell(cells: readonly string[], field: SheetField): string {
    const column = this.plan.reading.columns[field];
    return column === undefined ? '' : (cells[column] ?? '').trim();
  }

  private read(cells: readonly string[]): Row | CellFault {
    const { reading, names, nowMs } = this.plan;
    const cell = (field: SheetField): string => this.cell(cells, field);
    const fault = (field: SheetField, trouble: CellTrouble): CellFault => ({ field, trouble });
    const [who, what] = [cell('client'), cell('movement')];
    const clientId = reading.columns.client === undefined ? reading.clientId : meant(names.clients, who);
    if (!clientId) return fault('client', who === '' ? 'client' : 'left-out');
    const movement = findEntry(meant(names.movements, what))?.id;
    if (!movement) return fault('movement', what === '' ? 'movement' : 'left-out');
    const day = this.readDay(cell('day'));
    if (!day) return fault('day', 'day');
    const time = readTime(cell('time'));
    if (time === undefined) return fault('time', 'time');
    const timeMs = time ?? day.timeMs;
    if (day.dayMs + (timeMs ?? 0) > nowMs) return fault('day', 'future');
    const side = readSide(cell('side'));
    if (side === null) return fault('side', 'side');
    const [each, times, loads] = [
      readReps(cell('reps')),
      readTimes(cell('sets')),
      readLoads(cell('load'), reading.unit),
    ];
    if (each === null) return fault('reps', 'reps');
    // Where every set has its own reps, how many sets there are is told already, and not otherwise.
    const isTold = each.length > 1 && cell('sets') !== '';
    if (times === null || (isTold && times !== each.length)) return fault('sets', 'sets');
    if (loads === null) return fault('load', 'load');
    const reps = each.length === 1 ? Array.from<number>({ length: times }).fill(each[0]!) : each;
    if (loads.length > 1 && loads.length !== reps.length) return fault('load', 'loads');
    const own = entryOf(movement).tempo;
    const tempo = cell('tempo') === '' ? own : spellTempo(cell('tempo'), own);
    if (!parseWrittenTempo(tempo)) return fault('tempo', 'tempo');
    const note = cell('note');
    if (note.length > LONGEST_NOTE) return fault('note', 'note');
    return { clientId, movement, side, reps, loads, tempo, note, dayMs: day.dayMs, timeMs };
  }

  private readonly dayCells = new Map<string, CellDay | null>();
  /** Each writing of a day is read once: a library tries every form that it may have. */
  private readDay(cell: string): CellDay | null {
    const known = this.dayCells.get(cell);
    if (known !== undefined) return known;
    const day = readDay(cell, this.plan.reading.dayOrder);
    this.dayCells.set(cell, day);
    return day;
  }

  private dayOf({ clientId, dayMs, timeMs }: Row): DoneDay {
    const key = `${clientId} ${dayMs}`;
    const known = this.days.get(key);
    if (known) return known;
    const id = uuidFrom(`${clientId} ${dayjs(dayMs).format('YYYY-MM-DD')}`, SPACE);
    // Of today, before the afternoon, it is the morning: nothing was done at a time to come.
    const isOver = dayMs + NOON_MS + MOST_SETS_A_DAY * MINUTE_MS <= this.plan.nowMs;
    const startsAtMs = dayMs + (timeMs ?? (isOver ? NOON_MS : 0));
    const day = { id, clientId, startsAtMs, sets: 0, items: new Map<string, DoneItem>() };
    this.days.set(key, day);
    return day;
  }

  private itemOf(day: DoneDay, { clientId, movement, side, dayMs, tempo }: Row): DoneItem {
    const key = `${movement} ${side}`;
    const known = day.items.get(key);
    if (known) return known;
    const id = uuidFrom(key, day.id);
    const untilMs = dayjs(dayMs).add(1, 'day').valueOf();
    const isOnRecord = this.isOnRecord({ clientId, fromMs: dayMs, untilMs, movement, side, itemId: id });
    const item = { id, movement, side, isOnRecord, sets: 0, reps: 0, loadG: 0, tempo };
    day.items.set(key, item);
    return item;
  }

  private addSet(day: DoneDay, item: DoneItem, row: Row, reps: number, loadG: number, no: number): void {
    day.sets += 1;
    item.sets += 1;
    item.reps = Math.max(item.reps, reps);
    item.loadG = Math.max(item.loadG, loadG);
    const setId = `${item.id}-${item.sets}`;
    const atMs = day.startsAtMs + (day.sets - 1) * MINUTE_MS;
    const { actorId, nowMs } = this.plan;
    const tap = (seq: number, kind: string, body: object): void =>
      this.tap(
        [
          ...[`${setId}-${seq}`, 'sheet', seq, atMs, nowMs, day.clientId, item.id, item.movement, kind],
          ...[JSON.stringify({ setId, ...body }), actorId, FLOOR_EVENT_VERSION],
        ],
        no,
      );
    tap(0, 'set-started', { setNo: Math.min(item.sets, 60), loadG, targetReps: reps, tempo: row.tempo });
    tap(1, 'set-ended', { reps });
    tap(2, 'set-confirmed', { loadG, reps });
    if (row.note !== '') tap(3, 'set-note', { note: row.note });
  }

  /** Adds the sessions and what was planned in them: how much that was is known when every row was taken. */
  end(): void {
    const { reading, actorId } = this.plan;
    const session = this.into('session', [
      ...['id', 'gym_id', 'client_id', 'starts_at_ms', 'minutes', 'finished_at_ms', 'actor_id'],
    ]);
    const planned = this.into('session_item', [
      ...['id', 'session_id', 'position', 'movement', 'side', 'sets', 'reps', 'tempo', 'load_g', 'actor_id'],
    ]);
    for (const { id, clientId, startsAtMs, sets, items } of this.days.values()) {
      if (sets === 0) continue;
      const minutes = Math.min(LONGEST_MINUTES, Math.max(SHORTEST_MINUTES, sets * SET_MINUTES));
      const endsAtMs = startsAtMs + minutes * MINUTE_MS;
      session([id, reading.gymId, clientId, startsAtMs, minutes, endsAtMs, actorId], 0);
      const done = [...items.values()].filter((i) => i.sets > 0);
      done.forEach((i, position) => {
        const work = [Math.min(MOST_SETS, i.sets), i.reps, i.tempo, i.loadG];
        planned([i.id, id, position, i.movement, i.side, ...work, actorId], 0);
      });
    }
  }
}
