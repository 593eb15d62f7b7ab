import { describe, expect, it } from 'vitest';
import { SAID_IN } from '@/core/units/as-spoken';
import { KIT_SPEC } from '@/contract/kit-spec';
import { STARTER_KIT, starterSpec } from '@/contract/starter-kit';
import { openDb } from '@/data/open-db';
import { findKit, listKit } from '@/data/queries/kit';
import { STARTER_NAME } from '@/messages/kit';
import { loadFirstSteps, skipStep } from '@/server/first-steps';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { addStarterKit } from '@/server/starter-kit';
import { KIT } from '../demo/kit';
import { asOwner, at, world } from './support/world';

const statesIn = (db: ReturnType<typeof openDb>) => loadFirstSteps(asOwner(db))!.map((s) => s.state);
const KEY = '0b9f1f52-6a0e-4d53-8a39-4f6f0a1f7c10';

describe('first steps of a new gym', () => {
  it('are done when what they ask for is on record, left for later and taken up by the owner alone', () => {
    const db = openDb(':memory:');
    expect(statesIn(db)).toEqual(['done', 'open', 'open', 'open', 'open']);
    expect(loadFirstSteps(at(db))).toBeNull();
    expect(skipStep(at(db), 'gym', true).ok).toBe(false);
    expect(skipStep(asOwner(db), 'else', true).ok).toBe(false);
    for (const twice of [1, 2]) expect(skipStep(asOwner(db), 'gym', true).ok, String(twice)).toBe(true);
    expect(statesIn(db)).toEqual(['done', 'skipped', 'open', 'open', 'open']);
    expect(skipStep(asOwner(db), 'gym', false).ok).toBe(true);
    expect(saveGymForm(asOwner(db), null, { name: 'Quay', screeningDays: 365 }).ok).toBe(true);
    const { kind, name, spec } = KIT[0]!;
    expect(savePieceForm(asOwner(db), null, null, { kind, name, outOfOrder: 'no', spec }).ok).toBe(true);
    expect(statesIn(db)).toEqual(['done', 'done', 'done', 'open', 'open']);
    expect(statesIn(world())).toEqual(['done', 'done', 'done', 'done', 'done']);
  });
});

describe('common kit', () => {
  it.each(STARTER_KIT.flatMap((piece) => SAID_IN.map((saidIn) => [piece, saidIn] as const)))(
    '%s, said in %s, is kit that the sheet takes',
    (piece, saidIn) => {
      const { kind, spec } = starterSpec(piece, saidIn);
      expect(KIT_SPEC[kind].safeParse(spec)).toMatchObject({ success: true });
    },
  );
  it('is added once, marked as not measured until it is, and never beside what has its name', () => {
    const db = openDb(':memory:');
    const uc = asOwner(db);
    const ticked = { pieces: ['d-handle', 'dumbbells'] };
    for (const twice of [1, 2]) expect(addStarterKit(uc, null, ticked, KEY).ok, String(twice)).toBe(true);
    expect(addStarterKit(uc, null, { pieces: ['dumbbells', 'bar'] }).ok).toBe(true);
    const { rows } = listKit(db);
    expect(rows.map((p) => [p.name, p.asUsual])).toEqual([
      [STARTER_NAME['d-handle'], true],
      [STARTER_NAME.bar, true],
      [STARTER_NAME.dumbbells, true],
    ]);
    const { id, kind, name, spec } = rows[0]!;
    expect(savePieceForm(uc, null, id, { kind, name, outOfOrder: 'no', spec: { ...spec, lengthCm: 17 } }).ok).toBe(
      true,
    );
    expect(findKit(db, id)).toEqual({ ...rows[0], asUsual: undefined, spec: { ...spec, lengthCm: 17 } });
    for (const bad of [{}, { pieces: [] }, { pieces: ['column'] }, { pieces: ['own'] }])
      expect(addStarterKit(uc, null, bad)).toMatchObject({ ok: false });
  });
});
