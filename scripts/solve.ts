import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { answerSchema } from '@/contract/answer';
import { caseSchema } from '@/contract/case';
import { listMovements } from '@/solver/movement-listing';
import { answerCase } from '@/solver/solve-case';

const USAGE = 'usage: npm run -s solve -- case.json | - | --schema | --movements';

function fail(lines: readonly string[]): never {
  process.stderr.write(`${lines.join('\n')}\n`);
  process.exit(2);
}

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

function readInput(path: string): unknown {
  let raw: string;
  try {
    raw = readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch {
    return fail([`${path}: expected a file that can be read`]);
  }
  try {
    return JSON.parse(raw);
  } catch (e) {
    return fail([`(root): expected JSON (${(e as Error).message})`]);
  }
}

const [arg, ...rest] = process.argv.slice(2);
if (arg === undefined || rest.length > 0) fail([USAGE]);
if (arg === '--schema')
  print({ case: z.toJSONSchema(caseSchema, { io: 'input' }), answer: z.toJSONSchema(answerSchema) });
else if (arg === '--movements') print(listMovements());
else if (arg.startsWith('--')) fail([USAGE]);
else {
  const input = readInput(arg);
  const many = Array.isArray(input);
  const replies = (many ? input : [input]).map((one) => answerCase(one));
  const problems = replies.flatMap((r, i) =>
    r.ok
      ? []
      : r.issues.map((p) => `${[many ? String(i) : '', p.path].filter(Boolean).join('.') || '(root)'}: ${p.message}`),
  );
  if (problems.length > 0) fail(problems);
  const answers = replies.flatMap((r) => (r.ok ? [r.answer] : []));
  print(many ? answers : answers[0]);
}
