import { cruise, type ICruiseResult } from 'dependency-cruiser';
import extractTSConfig from 'dependency-cruiser/config-utl/extract-ts-config';
import { createRequire } from 'node:module';
import { expect, it } from 'vitest';

const rules = createRequire(import.meta.url)('../.dependency-cruiser.cjs');

it('imports run one way and never in a circle, as a check says that sees an edge which is not allowed', async () => {
  const probe = {
    name: 'probe',
    severity: 'error',
    from: { path: '^src/core/setup/' },
    to: { path: '^src/core/mechanics/' },
  };
  const { output } = await cruise(
    ['src'],
    { ...rules.options, validate: true, ruleSet: { forbidden: [...rules.forbidden, probe] } },
    undefined,
    { tsConfig: extractTSConfig('tsconfig.json') },
  );
  const found = (output as ICruiseResult).summary.violations.map((v) => `${v.rule.name}: ${v.from} -> ${v.to}`);
  const probed = found.filter((v) => v.startsWith('probe: '));
  expect(probed.some((v) => v.startsWith('probe: src/core/setup/cost.ts'))).toBe(true);
  expect(found.filter((v) => !probed.includes(v))).toEqual([]);
});
