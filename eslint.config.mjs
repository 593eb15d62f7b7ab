import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';

/** Attributes whose text is shown or read out. */
const SHOWN = 'JSXAttribute[name.name=/^(label|description|placeholder|aria-label|title|alt|caption|less|more|what)$/]';

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
    // Wording lives in messages/: a screen, a border and a use case say what they say by code.
    files: ['src/{features,app,contract,server,solver,workers,offline}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'JSXText[value=/[a-z]{3}|[a-z] [a-z]/]',
          `${SHOWN} > Literal[value=/[a-z]{2}/]`,
          `${SHOWN} TemplateElement[value.raw=/[a-z]{2}/]`,
          'Property[key.name=/^(label|hint|title|message|does)$/] > Literal[value=/^[A-Z]|[a-z] [a-z]/]',
          'Literal[value=/^expected /]',
          'TemplateElement[value.raw=/^expected /]',
        ].map((selector) => ({ selector, message: 'Wording lives in messages/.' })),
      ],
    },
  },
  {
    // A gym's network may be plain http, where the browser keeps these to itself.
    files: ['src/{features,offline,workers}/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'crypto', property: 'randomUUID', message: 'Not there over plain http: use uuid.' },
        { object: 'crypto', property: 'subtle', message: 'Not there over plain http.' },
        { object: 'navigator', property: 'clipboard', message: 'Not there over plain http.' },
      ],
    },
  },
  {
    // One link for the house, which asks for nothing ahead.
    files: ['src/**/*.tsx'],
    ignores: ['src/features/shell/link.tsx'],
    rules: { 'no-restricted-imports': ['error', { name: 'next/link', message: 'Use the Link of features/shell.' }] },
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
