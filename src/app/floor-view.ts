import { clock } from '@/features/shell/day';
import type { FloorItemView, FloorSessionView, FloorView } from '@/features/floor/floor-view';
import { holeText } from '@/messages/holes';
import { replacedText } from '@/messages/replaced';
import type { FloorItem, FloorSession } from '@/server/floor';

const cm = (m: number): number => Math.round(m * 100);

function toItem(i: FloorItem): FloorItemView {
  const { context, plates, lastTime } = i;
  const p = plates.from === 'blocked' ? null : plates.placement;
  const moved = p && lastTime && (p.hole !== lastTime.hole || Math.abs(p.standX - lastTime.standX) >= 0.05);
  return {
    id: context.item.id,
    movement: context.item.movement,
    station: context.station.name,
    plates: [
      ...(p
        ? [
            { label: context.item.side === 'both' ? 'Hole, both sides' : `Hole, ${context.item.side}`, value: holeText(context.station.column, p.hole, context.item.side), big: true, estimated: plates.from === 'solved' && plates.estimated },
            { label: p.standX < 0 ? 'Mark, behind the pulleys' : 'Mark, in front', value: String(Math.abs(cm(p.standX))), unit: 'cm', big: true },
          ]
        : []),
      { label: context.item.side === 'both' ? 'Stack, each side' : 'Stack', value: String(context.item.loadG / 1000), unit: 'kg', big: true },
      { label: 'Handle', value: context.attachment.name, big: false },
    ],
    platesNote: p === null ? '' : plates.from === 'saved' ? 'as saved today' : plates.from === 'solved' && plates.estimated ? 'solved; shoulder height estimated' : 'solved from measured shoulder height',
    blocked: plates.from === 'blocked' ? plates.says : null,
    replaced: context.replaced.length > 0 ? context.replaced.map(replacedText).join(' ') : null,
    watch: i.watch.map((w) => ({ fault: w.fault, text: `${w.setsSeen} of ${w.sets} sets` })),
    since: moved && lastTime ? `last time hole ${lastTime.hole}, ${cm(lastTime.standX)} cm` : null,
    progress: `${Math.min(i.setsDone, 99)} of ${context.item.sets} sets, ${context.item.reps} at ${context.item.tempo}`,
    state: i.stoppedForPain ? 'stopped' : i.unfinishedSet ? 'under-way' : i.setsDone >= context.item.sets ? 'done' : i.setsDone > 0 ? 'under-way' : 'to-do',
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
  const next = open.find((s) => s.items.some((i) => i.state === 'under-way')) ?? open.find((s) => s.startsAtMs + s.minutes * 60_000 > nowMs) ?? open[0];
  return { nowMs, now: clock(nowMs), sessions: views, nextId: next?.id ?? null };
}
