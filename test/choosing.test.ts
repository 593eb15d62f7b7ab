import { describe, expect, it } from 'vitest';
import { chooseMovements, type ChooseInput } from '@/core/book/choose';
import { findEntry } from '@/core/book/book';
import { REGIONS, type Region } from '@/core/body/region-line';
import type { Db } from '@/data/open-db';
import { findClient, saveClient } from '@/data/queries/clients';
import { findKit, saveKit } from '@/data/queries/kit';
import { loadChoosing } from '@/server/choosing';
import { gymKit } from '@/server/gym-kit';
import { at, world } from './support/world';

const inputOf = (db: Db, client?: string, gym?: string): ChooseInput => ({
  ...loadChoosing(at(db), { client, gym }),
  loadKg: 15,
});
const choose = (db: Db, region: Region, client?: string, gym?: string) =>
  chooseMovements(region, inputOf(db, client, gym));
const objectionTo = (db: Db, region: Region, id: string, client?: string, gym?: string) =>
  choose(db, region, client, gym).find((c) => c.entry.id === id)!.objection;

describe('choosing from what is stored', () => {
  it('nobody and nowhere chosen: a body of middle height at the first gym; strangers are nobody', () => {
    const db = world();
    const c = loadChoosing(at(db), {});
    expect([c.clientId, c.body.statureM]).toEqual([null, 1.75]);
    expect(c.gymId).toBe(c.gyms[0]!.id);
    expect(loadChoosing(at(db), { client: 'no-such', gym: 'no-such' })).toEqual(c);
  });
  it('every choice that a gym allows is sound: a share, a range, and a column of that gym for a cable', () => {
    const db = world();
    for (const gym of loadChoosing(at(db), {}).gyms) {
      const columns = gymKit(db, gym.id).columns.map((k) => k.id);
      for (const region of REGIONS) {
        for (const c of choose(db, region, 'anselm', gym.id).filter((x) => x.objection === null)) {
          for (const share of [c.demand, c.covered, c.stretched, c.score]) {
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1);
          }
          if (c.direct) expect(c.score).toBeGreaterThan(0);
          if (c.entry.load.kind === 'cable') expect(columns).toContain(c.columnId);
          else expect(c.columnId).toBeNull();
        }
      }
    }
  });
  it('kit taken out of order goes, and what hung on it names what stands in', () => {
    const db = world();
    expect(objectionTo(db, 'biceps-short', 'preacher-curl-one-arm')).toBeNull();
    saveKit(db, { ...findKit(db, 'oak-preacher')!, outOfOrder: true }, 'trainer');
    expect(objectionTo(db, 'biceps-short', 'preacher-curl-one-arm')).toEqual({ kind: 'kit', missing: 'preacher' });
    const greyed = choose(db, 'biceps-short').find((c) => c.entry.id === 'preacher-curl-one-arm')!;
    for (const s of greyed.standIns) expect(findEntry(s)).not.toBeNull();
    expect(greyed.standIns.length).toBeGreaterThan(0);
  });
  it('a clinician’s limit greys what needs more while it stands, and is over after its last day', () => {
    const db = world();
    const limit = (untilDay: number | null) =>
      saveClient(
        db,
        {
          ...findClient(db, 'anselm')!,
          limits: [
            { subject: 'elbow.flexion', side: 'both', most: 25, setBy: 'physiotherapist', fromDay: 0, untilDay },
          ],
        },
        'trainer',
      );
    expect(objectionTo(db, 'biceps-long', 'barbell-curl', 'anselm')).toBeNull();
    limit(null);
    expect(objectionTo(db, 'biceps-long', 'barbell-curl', 'anselm')).toEqual({ kind: 'solver', reason: 'range' });
    limit(10);
    expect(objectionTo(db, 'biceps-long', 'barbell-curl', 'anselm')).toBeNull();
  });
  it('a note taken today greys today; another client is not asked', () => {
    const db = world();
    saveClient(db, { ...findClient(db, 'anselm')!, notes: ['low-back'] }, 'trainer');
    expect(objectionTo(db, 'mid-back', 'barbell-row-dead-stop', 'anselm')).toEqual({ kind: 'note', note: 'low-back' });
    expect(objectionTo(db, 'mid-back', 'barbell-row-dead-stop', 'sefina')).not.toEqual({
      kind: 'note',
      note: 'low-back',
    });
  });
});
