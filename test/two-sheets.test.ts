import { describe, expect, it } from 'vitest';
import type { Client } from '@/contract/views/client';
import { toClientValues, type ClientValues } from '@/features/client/client-form-values';
import { toKitValues, type KitValues } from '@/features/kit/kit-values';
import type { KitPiece } from '@/contract/views/kit';
import { findClient } from '@/data/queries/clients';
import { findKit } from '@/data/queries/kit';
import { saveClientForm } from '@/server/clients';
import { savePieceForm } from '@/server/kit';
import { at, world } from './support/world';

const LIMIT = {
  subject: 'load-in-hand',
  side: 'both',
  most: 6,
  setBy: 'physiotherapist',
  from: '2026-11-20',
  until: '',
};

describe('a client sheet open on two tablets', () => {
  const open = () => {
    const db = world();
    const opened = findClient(db, 'anselm')!;
    const save = (change: (v: ClientValues) => void, from: Client | null = opened) => {
      const values = structuredClone(toClientValues(opened));
      change(values);
      return saveClientForm(at(db), 'anselm', values, from);
    };
    return { save, opened, now: () => findClient(db, 'anselm')! };
  };
  it('what both entered stands: a clinician’s limit is not lost to an older sheet', () => {
    const { save, now, opened } = open();
    expect(save((v) => void v.limits.push(LIMIT)).ok).toBe(true);
    const second = save((v) => {
      v.measuredCm.hipHeight = 93;
      v.rangeDeg.left['shoulder.flexion'] = 150;
    });
    expect(second).toMatchObject({ ok: true, kept: { limits: [{ most: 6 }], measuredM: { hipHeight: 0.93 } } });
    expect(now()).toMatchObject({ limits: [{ most: 6 }], measuredM: { hipHeight: 0.93 }, note: opened.note });
    expect(now().range.left!['shoulder.flexion']).toBe(150);
  });
  it('a limit ended on one tablet stays ended, whatever else is saved from before', () => {
    const { save, now } = open();
    save((v) => void v.limits.push(LIMIT));
    const before = now();
    save((v) => void (v.limits = []), before);
    save((v) => {
      v.limits = [LIMIT];
      v.note = 'later';
    }, before);
    expect(now()).toMatchObject({ limits: [], note: 'later' });
  });
  it('the same field made two things is told with both, kept by neither, and stands once it is saved again', () => {
    const { save, now } = open();
    save((v) => void (v.statureCm = 176));
    const told = save((v) => {
      v.statureCm = 174;
      v.massKg = 80;
    });
    expect(told).toMatchObject({ ok: false, issues: [{ path: 'statureCm' }] });
    expect(!told.ok && told.issues[0]!.message).toBe(
      'Stature: somebody else made it 176 cm meanwhile, here it is 174 cm. Save again to keep this.',
    );
    expect(now()).toMatchObject({ statureM: 1.76, massKg: 77 });
    const again = save(
      (v) => {
        v.statureCm = 174;
        v.massKg = 80;
      },
      (!told.ok && told.next) || null,
    );
    expect(again.ok).toBe(true);
    expect(now()).toMatchObject({ statureM: 1.74, massKg: 80 });
  });
  it('what a page claims to have been opened with is no way in', () => {
    for (const claimed of ['x', 7, [], { limits: 'none' }, { measuredM: null }] as unknown as Client[])
      expect(() => open().save((v) => void (v.note = 'n'), claimed)).not.toThrow();
  });
});

it('a piece of kit: out of order stays so when an older sheet is saved', () => {
  const db = world();
  const opened = findKit(db, 'long-pair')!;
  const save = (change: (v: KitValues) => void, from: KitPiece = opened) => {
    const values = structuredClone(toKitValues('column', opened));
    change(values);
    return savePieceForm(at(db), opened.gymId, opened.id, values, from);
  };
  expect(save((v) => void (v.outOfOrder = 'yes')).ok).toBe(true);
  expect(save((v) => void (v.name = 'Long pair')).ok).toBe(true);
  expect(findKit(db, 'long-pair')).toMatchObject({ outOfOrder: true, name: 'Long pair', spec: opened.spec });
  expect(save((v) => void (v.spec = { ...v.spec, clearanceCm: 7 })).ok).toBe(true);
  const told = save((v) => void (v.spec = { ...v.spec, clearanceCm: 9 }));
  expect(told).toMatchObject({ ok: false, issues: [{ path: 'spec' }] });
  expect(findKit(db, 'long-pair')).toMatchObject({ spec: { clearanceCm: 7 } });
  expect(save((v) => void (v.spec = { ...v.spec, clearanceCm: 9 }), (!told.ok && told.next) as KitPiece).ok).toBe(true);
  expect(findKit(db, 'long-pair')).toMatchObject({ outOfOrder: true, spec: { clearanceCm: 9 } });
});
