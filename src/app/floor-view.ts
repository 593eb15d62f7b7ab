import { clock } from '@/features/shell/day';
import type { FloorItemView, FloorSessionView, FloorView } from '@/features/floor/floor-view';
import { findEntry } from '@/core/book/book';
import { loadLabel, loadNumber } from '@/messages/loads';
import { tempoExtras, tempoNumbers } from '@/messages/schemes';
import { replacedText } from '@/messages/replaced';
import type { FloorItem, FloorSession } from '@/server/floor';
import { platesInWords } from './plates-view';

/** Reps and tempo of a set in words. */
const setAim = ({ reps, tempo }: FloorItem['context']['item']): string =>
  [`${reps} at ${tempoNumbers(tempo)}`, ...tempoExtras(tempo)].join(', ');

const cm = (m: number): number => Math.round(m * 100);

function toItem(i: FloorItem): FloorItemView {
  const { context, plates, lastTime } = i;
  const p = plates.from === 'blocked' ? null : plates.placement;
  const load = loadLabel(findEntry(context.item.movement)!, context.item.side);
  const moved =
    p &&
    lastTime &&
    (p.hole !== lastTime.hole ||
      (p.leftBy ?? 0) !== (lastTime.leftBy ?? 0) ||
      Math.abs(p.standX - lastTime.standX) >= 0.05);
  return {
    id: context.item.id,
    movement: context.item.movement,
    variant: context.variant?.name ?? null,
    station: context.station?.name ?? null,
    plates: [
      ...platesInWords(plates, context.station, context.item.side).map((w) => ({ ...w, big: true })),
      ...(load
        ? [{ label: load, value: loadNumber(context.item.loadG, context.unit), unit: context.unit, big: true }]
        : []),
      ...(context.attachment ? [{ label: 'Handle', value: context.attachment.name, big: false }] : []),
    ],
    platesNote:
      plates.from === 'blocked'
        ? ''
        : plates.from === 'saved'
          ? 'as saved today'
          : plates.from === 'solved' && p && plates.estimated
            ? 'solved; shoulder height estimated'
            : p === null
              ? 'set by rule and fit'
              : 'solved from measured shoulder height',
    blocked: plates.from === 'blocked' ? plates.says : null,
    replaced: context.replaced.length > 0 ? context.replaced.map(replacedText).join(' ') : null,
    watch: i.watch.map((w) => ({ fault: w.fault, text: `${w.setsSeen} of ${w.sets} sets` })),
    since: moved && lastTime ? `last time hole ${lastTime.hole}, ${cm(lastTime.standX)} cm` : null,
    progress: `${Math.min(i.setsDone, 99)} of ${context.item.sets} ` + `sets, ${setAim(context.item)}`,
    state: i.stoppedForPain
      ? 'stopped'
      : i.unfinishedSet
        ? 'under-way'
        : i.setsDone >= context.item.sets
          ? 'done'
          : i.setsDone > 0
            ? 'under-way'
            : 'to-do',
  };
}

/** The floor in words, rendered on the server so that times are the gym's. */
export function toFloorView(sessions: readonly FloorSession[], nowMs: number): FloorView {
  const views: FloorSessionView[] = sessions.map((s) => ({
    id: s.id,
    clientId: s.items[0]?.context.client.id ?? '',
    clientName: s.clientName,
    note: s.note,
    starts: clock(s.startsAtMs),
    ends: clock(s.startsAtMs + s.minutes * 60_000),
    startsAtMs: s.startsAtMs,
    minutes: s.minutes,
    done: s.done,
    screening: s.screening,
    items: s.items.map(toItem),
  }));
  const open = views.filter((s) => !s.done);
  const next =
    open.find((s) => s.items.some((i) => i.state === 'under-way')) ??
    open.find((s) => s.startsAtMs + s.minutes * 60_000 > nowMs) ??
    open[0];
  return { nowMs, now: clock(nowMs), sessions: views, nextId: next?.id ?? null };
}
