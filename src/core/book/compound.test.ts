import { expect, it } from 'vitest';
import { BOOK } from './book';
import { isCompound } from './compound';

it('presses, rows, pulldowns and hinges work two joints; flies, raises and curls one (common practice)', () => {
  const by = (group: string) => BOOK.filter((e) => e.group === group);
  const compound = (group: string) =>
    by(group)
      .filter(isCompound)
      .map((e) => e.id);
  expect(compound('rows')).toEqual(by('rows').map((e) => e.id));
  for (const group of ['biceps', 'triceps', 'before']) expect(compound(group)).toEqual([]);
  expect(compound('legs')).toEqual(['leg-press']);
  for (const id of compound('chest')) expect(id).toMatch(/press|push-up/);
  const single = by('pulldowns')
    .filter((e) => !isCompound(e))
    .map((e) => e.id);
  for (const id of single) expect(id).toMatch(/straight-arm|pullover/);
  // Pull-arounds bend the elbow as they sweep.
  for (const id of compound('deltoids')) expect(id).toMatch(/press|row|pull-around/);
});
