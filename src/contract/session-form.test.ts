import { describe, expect, it } from 'vitest';
import {
  itemFormSchema,
  sessionFormSchema,
  sessionTimeSchema,
  skipReasonSchema,
  templateFormSchema,
} from './session-form';
import { weekRulesSchema } from './week-rules-form';
import { USUAL_RULES } from '@/core/week/muscle';

const SESSION = {
  ...{ clientId: 'c', gymId: '', day: '2026-11-24', startsAt: '9:05', minutes: 60 },
  ...{ from: 'last', fromId: '', leaveOut: false },
};
const ITEM = { sets: 3, reps: 12, tempo: '3-1-2-1', load: 20, unit: 'kg' };
const pathsOf = (read: { success: boolean; error?: { issues: { path: PropertyKey[] }[] } }) =>
  read.error?.issues.map((i) => i.path.join('.')) ?? [];

describe('forms of a plan', () => {
  it('a session, with what is left empty left out; its day as days since 1970', () => {
    const read = sessionFormSchema.parse(SESSION);
    expect([read.gymId, read.fromId, read.day]).toEqual([undefined, undefined, 20_781]);
  });
  it.each([
    [{ day: '2026-02-30x' }, ['day']],
    [{ startsAt: '24:00' }, ['startsAt']],
    [{ startsAt: 'noon', minutes: 9 }, ['startsAt', 'minutes']],
    [{ minutes: 241 }, ['minutes']],
    [{ minutes: 30.5 }, ['minutes']],
    [{ from: 'session' }, ['fromId']],
    [{ from: 'template', fromId: null }, ['fromId']],
    [{ leaveOut: 'yes' }, ['leaveOut']],
    [{ clientId: '' }, ['clientId']],
  ])('%o is told at its field', (more, paths) =>
    expect(pathsOf(sessionFormSchema.safeParse({ ...SESSION, ...more }))).toEqual(paths),
  );
  it('a time alone', () => {
    expect(pathsOf(sessionTimeSchema.safeParse({ day: '', startsAt: '', minutes: '' }))).toEqual([
      ...['day', 'startsAt', 'minutes'],
    ]);
  });
  it.each([
    ['3120', '3-1-2-0'],
    ['3/1/2/1', '3-1-2-1'],
    ['x 1 2 1', 'X-1-2-1'],
    ['slow 30-65', '2-0-2-0, 30-65deg: 4s'],
  ])('a movement’s tempo “%s” is kept as %s', (typed, kept) =>
    expect(itemFormSchema('2-0-2-0').parse({ ...ITEM, tempo: typed }).tempo).toBe(kept),
  );
  it.each([
    [{ sets: 0 }, ['sets']],
    [{ reps: 61 }, ['reps']],
    [{ tempo: 'slowly' }, ['tempo']],
    [{ load: -1 }, ['load']],
    [{ unit: 'st' }, ['unit']],
  ])('a movement with %o is told at its field', (more, paths) =>
    expect(pathsOf(itemFormSchema('2-0-2-0').safeParse({ ...ITEM, ...more }))).toEqual(paths),
  );
  it('a reason is some words, a template has a name', () => {
    expect([' no time ', '  ', 'x'.repeat(201)].map((r) => skipReasonSchema.safeParse(r).success)).toEqual([
      ...[true, false, false],
    ]);
    expect(pathsOf(templateFormSchema.safeParse({ name: ' ', forAll: 1 }))).toEqual(['name', 'forAll']);
  });
  it.each([
    [{ indirect: 1.5, least: 1, most: 2 }, ['calf.indirect']],
    [{ indirect: 0, least: 5, most: 4 }, ['calf.most']],
    [{ indirect: 0, least: 5 }, ['calf.most']],
  ])('a week’s rule %o is told at its field', (calf, paths) =>
    expect(pathsOf(weekRulesSchema.safeParse({ ...USUAL_RULES, calf }))).toEqual(paths),
  );
});
