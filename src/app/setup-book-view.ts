import type { SetupChange, SetupEntry, SetupPage } from '@/core/fault/setup-book';
import type { SetupEntryView, SetupPageView } from '@/features/client/setup-book-view';
import { day } from '@/features/shell/day';
import { movementName } from '@/messages/book';
import { holeText } from '@/messages/holes';
import type { Station } from '@/data/queries/kit';

interface Names {
  readonly station: (id: string | null) => Station | null;
  readonly handle: (id: string | null) => string;
}

const cm = (m: number): string => `${Math.round(m * 100)} cm`;

function changeText(c: SetupChange, names: Names): string {
  switch (c.what) {
    case 'carriages':
      return c.to === 0
        ? 'both carriages alike again'
        : `left carriage ${Math.abs(c.to)} ${Math.abs(c.to) === 1 ? 'hole' : 'holes'} ` +
            `${c.to > 0 ? 'up' : 'down'} the numbers from the right`;
    case 'hole':
      return `hole ${c.from} to ${c.to}`;
    case 'mark':
      return `mark ${cm(c.from)} to ${cm(c.to)}`;
    case 'sideways':
      return `${cm(Math.abs(c.to - c.from))} further ${c.to > c.from ? 'right' : 'left'}`;
    case 'facing':
      return `turned ${Math.abs(Math.round(c.to - c.from))}° ${c.to > c.from ? 'left' : 'right'}`;
    case 'column':
      return `other column, before ${names.station(c.from)?.name ?? 'none'}`;
    case 'handle':
      return `other handle, before ${names.handle(c.from) || 'none'}`;
    case 'choices':
      return 'other choices';
  }
}

function toEntry(e: SetupEntry, names: Names): SetupEntryView {
  const station = names.station(e.stationId);
  const { placement: p } = e;
  const hole = p && station ? holeText(station.column, p, e.side) : p ? String(p.hole) : '';
  return {
    id: e.id,
    when: day(e.atMs),
    where: [station?.name, names.handle(e.attachmentId)].filter(Boolean).join(', '),
    plates: p ? `hole ${hole}, mark ${cm(p.standX)}` : 'as set by rule',
    changed: e.changed.length > 0 ? `Changed: ${e.changed.map((c) => changeText(c, names)).join(', ')}.` : '',
    off: e.off,
  };
}

/** A client's set-up book in words. */
export const toSetupBookView = (pages: readonly SetupPage[], names: Names): SetupPageView[] =>
  pages.map((p) => ({
    key: `${p.movement}-${p.side}`,
    name: `${movementName(p.movement)}${p.side === 'both' ? '' : `, ${p.side}`}`,
    entries: p.entries.map((e) => toEntry(e, names)),
  }));
