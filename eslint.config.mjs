import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';

export default defineConfig(
  globalIgnores(['.next/**', 'public/**', 'next-env.d.ts', 'test-results/**', 'coverage/**', 'data/**']),
  ts.configs.recommended,
  hooks.configs.flat.recommended,
  next.configs['core-web-vitals'],
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    // Tables of data are as long as what they hold.
    ignores: [
      'src/core/book/entries/**',
      'src/core/fault/fault-book.ts',
      'src/features/kit/kit-fields.ts',
      'src/messages/book.ts',
      '**/*.test.ts',
    ],
    rules: { 'max-lines': ['error', { max: 400, skipBlankLines: true }], 'no-console': 'error' },
  },
  {
    // What computes and decides is read function by function; a drawing's JSX is as long as what it draws.
    files: ['src/**/*.{ts,tsx}'],
    ignores: [
      '**/*.test.ts',
      'src/features/client/body-figure.tsx',
      'src/features/kit/kit-drawing.tsx',
      'src/features/movements/movement-figure.tsx',
      'src/features/setup/{bench-handles,elevation,plan}.tsx',
    ],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
);
