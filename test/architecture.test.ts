import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

it('core reads no clock, no chance and no environment', () => {
  const files = readdirSync('src/core', { recursive: true })
    .map(String)
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'));
  const impure = files.filter((f) =>
    /Math\.random|Date\.|new Date|process\.|globalThis|performance\.|fetch\(|console\./.test(
      readFileSync(join('src/core', f), 'utf8'),
    ),
  );
  expect(files.length).toBeGreaterThan(20);
  expect(impure).toEqual([]);
});

it('no barrels, and files stay short', () => {
  const files = readdirSync('src', { recursive: true })
    .map(String)
    .filter((f) => /\.tsx?$/.test(f));
  expect(files.filter((f) => /(^|\/)index\.tsx?$/.test(f))).toEqual([]);
  expect(files.filter((f) => /export \*/.test(readFileSync(join('src', f), 'utf8')))).toEqual([]);
});

// Migrations keep the lines they were applied with: their checksums say so.
it('no line is longer than 120 columns', () => {
  const places = ['src', 'test', 'e2e', 'bench', 'demo', 'scripts', 'tracker'];
  const files = places.flatMap((place) =>
    readdirSync(place, { recursive: true })
      .map((f) => join(place, String(f)))
      .filter((f) => /\.(tsx?|mts|mjs|css)$/.test(f)),
  );
  const long = files.flatMap((f) =>
    readFileSync(f, 'utf8')
      .split('\n')
      .flatMap((line, i) => ([...line].length > 120 ? [`${f}:${i + 1}`] : [])),
  );
  expect(files.length).toBeGreaterThan(200);
  expect(long).toEqual([]);
});

it('every export of core says what it is', () => {
  const files = readdirSync('src/core', { recursive: true })
    .map((f) => join('src/core', String(f)))
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'));
  const silent = files.flatMap((f) => {
    const lines = readFileSync(f, 'utf8').split('\n');
    return lines.flatMap((line, i) => {
      if (!/^export (function|const|interface|type|class) /.test(line)) return [];
      const above = lines[i - 1]?.startsWith('// eslint') ? lines[i - 2] : lines[i - 1];
      return above?.trimEnd().endsWith('*/') ? [] : [`${f}:${i + 1}`];
    });
  });
  expect(files.length).toBeGreaterThan(100);
  expect(silent).toEqual([]);
});
