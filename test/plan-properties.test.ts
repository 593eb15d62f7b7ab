import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addItem,
  addSession,
  findSession,
  nextPosition,
  putBack,
  reorderItems,
  takeOut,
} from '@/data/queries/sessions';
import { previewCalendar, writeCalendar } from '@/server/calendar';
import { weekOf } from '@/server/week';
import { weekSets } from '@/core/week/week-sets';
import { USUAL_RULES } from '@/core/week/muscle';
import { REGIONS } from '@/core/body/region-line';
import { at, NOW, world } from './support/world';

const ITEM = {
  ...({ movement: 'cable-fly-level', variantId: null, side: 'both', stationId: 'long-pair', bandId: null } as const),
  ...{ attachmentId: 'd-handle', sets: 3, reps: 12, tempo: '3-1-2-1', loadG: 5000 },
};

describe('a plan that is changed over and over', () => {
  it('has the movements that a plain list would have, whatever is added, moved, taken out and put back', () => {
    const step = fc.tuple(fc.constantFrom('add', 'out', 'back', 'order'), fc.nat({ max: 50 }));
    const db = world();
    let n = 0;
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        n += 1;
        const id = `changed-${n}`;
        const when = { startsAtMs: NOW, minutes: 60 };
        addSession(db, { id, gymId: 'tidewater', clientId: 'anselm', ...when, items: [] }, 'marit');
        let inPlan: string[] = [];
        const out: string[] = [];
        let made = 0;
        const of = (itemId: string) => ({ id: itemId, sessionId: id });
        for (const [what, k] of steps) {
          if (what === 'add') {
            const item = `${id}-${(made += 1)}`;
            addItem(db, { ...ITEM, ...of(item), position: nextPosition(db, id) }, 'marit');
            inPlan.push(item);
          } else if (what === 'out' && inPlan.length > 0) {
            const [item] = inPlan.splice(k % inPlan.length, 1);
            takeOut(db, of(item!), NOW);
            out.push(item!);
          } else if (what === 'back' && out.length > 0) {
            const [item] = out.splice(k % out.length, 1);
            putBack(db, of(item!));
            inPlan.push(item!);
          } else if (what === 'order' && inPlan.length > 1) {
            inPlan = [...inPlan.slice(k % inPlan.length), ...inPlan.slice(0, k % inPlan.length)].toReversed();
            reorderItems(db, id, inPlan);
          }
          expect(findSession(db, id)!.items.map((i) => i.id)).toEqual(inPlan);
        }
      }),
      { seed: 15, numRuns: 60 },
    );
  });
});

describe('calendar files from anywhere', () => {
  it('are answered, never thrown at: cut short, with lines changed, left out and doubled', () => {
    const db = world();
    const lines = writeCalendar(at(db)).split('\r\n');
    const change = fc.tuple(fc.nat({ max: lines.length - 1 }), fc.constantFrom('drop', 'twice', 'cut', 'other'));
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 6 }), fc.string(), (changes, other) => {
        let text = [...lines];
        for (const [k, how] of changes)
          if (how === 'drop') text.splice(k % text.length, 1);
          else if (how === 'twice') text.splice(k % text.length, 0, text[k % text.length]!);
          else if (how === 'cut') text = text.slice(0, Math.max(1, k));
          else text[k % text.length] = other;
        const seen = previewCalendar(at(db), text.join('\r\n'));
        if (seen.ok) for (const l of seen.kept!.lines) expect(l.when).not.toContain('Invalid');
        else expect(seen.issues.map((i) => i.path)).toEqual(['file']);
      }),
      { seed: 16, numRuns: 150 },
    );
  });
});

describe('weeks', () => {
  it('of eight years: every day is in one of seven days from a Monday, and weeks follow each other', () => {
    for (let ms = NOW; ms < NOW + 8 * 365 * 86_400_000; ms += 86_400_000) {
      const day = new Date(ms).toISOString().slice(0, 10);
      const week = weekOf({ nowMs: NOW }, day);
      expect([new Date(week.fromMs).getDay(), week.fromMs <= ms, ms < week.toMs]).toEqual([1, true, true]);
      expect(weekOf({ nowMs: NOW }, week.after).before).toBe(week.monday);
    }
  });
  it('more sets of anything never make fewer of any muscle, and a set counts once at most (seeded)', () => {
    const region = fc.constantFrom(...REGIONS);
    const one = fc.record({
      target: region,
      secondary: fc.array(region, { maxLength: 3 }),
      side: fc.constantFrom('left' as const, 'right' as const, 'both' as const),
      done: fc.nat({ max: 5 }),
      planned: fc.nat({ max: 5 }),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 8 }), one, (some, more) => {
        const [before, after] = [weekSets(some, USUAL_RULES), weekSets([...some, more], USUAL_RULES)];
        for (const [k, m] of after.entries()) {
          expect(m.all).toBeGreaterThanOrEqual(before[k]!.all);
          expect(m.all - before[k]!.all).toBeLessThanOrEqual(more.done + more.planned);
          expect(m.done).toBeLessThanOrEqual(m.all);
          expect(m.direct + m.indirect).toBeCloseTo(m.all, 9);
        }
      }),
      { seed: 17 },
    );
  });
});
