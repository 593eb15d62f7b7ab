import 'server-only';
import { createHash } from 'node:crypto';
import { z } from 'zod';
import type { ApiScope } from '@/core/account/api-scope';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import type { Db } from '@/data/open-db';
import { findAccount } from '@/data/queries/accounts';
import { findToken, noteTokenUse } from '@/data/queries/api-tokens';
import { API_EXPECTED, API_PROBLEM } from '@/messages/api';
import { apiDocument } from './api-document';
import type { Operation } from './api-operation';
import { OPERATIONS } from './api-operations';
import { tokenDigest } from './secrets';
import type { UseCase } from './use-case';

const BASE = '/api/v1';
/** Use of a token is noted no more often than this, milliseconds. */
const NOTED_EACH_MS = 60_000;

type Status = Exclude<keyof typeof API_PROBLEM, 'address'>;

interface Told {
  readonly title?: string;
  readonly issues?: readonly FieldIssue[];
  readonly headers?: Readonly<Record<string, string>>;
}

/** What cannot be done, as a problem (RFC 9457). */
function problem(status: Status, { title = API_PROBLEM[status], issues, headers }: Told = {}): Response {
  const body = { type: 'about:blank', title, status, ...(issues ? { issues } : {}) };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/problem+json', 'Cache-Control': 'no-store', ...headers },
  });
}

/** A value as JSON, with an ETag; nothing of it where the asker has it already. */
function json(request: Request, value: unknown): Response {
  const text = JSON.stringify(value);
  const etag = `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"`;
  const headers = { ETag: etag, 'Cache-Control': 'private, no-cache', Vary: 'Authorization' };
  const known = request.headers
    .get('if-none-match')
    ?.split(',')
    .map((t) => t.trim().replace(/^W\//, ''));
  if (request.method === 'GET' && known?.includes(etag)) return new Response(null, { status: 304, headers });
  return new Response(text, { headers: { ...headers, 'Content-Type': 'application/json' } });
}

/** Who a call's token acts as and what it may; null for nobody. */
function callerOf(db: Db, request: Request, nowMs: number) {
  const [, token] = /^Bearer ([\w-]{43})$/.exec(request.headers.get('authorization') ?? '') ?? [];
  const known = token === undefined ? null : findToken(db, tokenDigest(token));
  const account = known && findAccount(db, known.accountId);
  if (!account || account.endedAtMs !== null) return null;
  if (nowMs - (known.usedAtMs ?? 0) >= NOTED_EACH_MS) noteTokenUse(db, known.id, nowMs);
  const { id, name, role } = account;
  const uc: UseCase = { db, nowMs, actor: { id, name, role } };
  return { uc, scopes: known.scopes as readonly ApiScope[] };
}

/** The names in braces of an operation's path in an address; null where it is another one. */
function paramsIn({ path }: Operation, address: string): Readonly<Record<string, string>> | null {
  const [wanted, given] = [path.split('/'), address.split('/')];
  if (wanted.length !== given.length) return null;
  const params: Record<string, string> = {};
  for (const [k, part] of wanted.entries()) {
    const name = /^\{(\w+)\}$/.exec(part)?.[1];
    if (name === undefined ? part !== given[k] : given[k] === '') return null;
    if (name !== undefined) params[name] = given[k]!;
  }
  return params;
}

const at = (where: string, error: z.ZodError): FieldIssue[] =>
  toFieldIssues(error).map((i) => ({ ...i, path: [where, i.path].filter(Boolean).join('.') }));

async function bodyOf(
  request: Request,
): Promise<{ readonly ok: true; readonly value: unknown } | { readonly ok: false }> {
  try {
    return { ok: true, value: await request.json() };
  } catch {
    return { ok: false };
  }
}

/** A call's parts, checked by the operation's own schemas; or what is expected of them. */
async function askedOf(operation: Operation, params: object, request: Request, url: URL) {
  const key = request.headers.get('idempotency-key');
  const parts = [
    operation.params.safeParse(params),
    operation.query.safeParse(Object.fromEntries(url.searchParams)),
  ] as const;
  const body = operation.body ? await bodyOf(request) : null;
  const read = operation.body && body?.ok ? operation.body.safeParse(body.value) : null;
  const issues: FieldIssue[] = [
    ...(parts[0].success ? [] : at('', parts[0].error)),
    ...(parts[1].success ? [] : at('', parts[1].error)),
    ...(body && !body.ok ? [{ path: 'body', message: API_EXPECTED.json }] : []),
    ...(read && !read.success ? at('body', read.error) : []),
    ...(key === null || z.uuid().safeParse(key).success
      ? []
      : [{ path: 'Idempotency-Key', message: API_EXPECTED.key }]),
  ];
  if (issues.length > 0) return { ok: false as const, issues };
  const asked = { params: parts[0].data, query: parts[1].data, body: read?.data, key: key?.toLowerCase() ?? null };
  return { ok: true as const, asked: asked as never };
}

/** Answer a program's call: who it is, what it may, what it asks, and what that comes to. */
export async function answerApi(db: Db, request: Request, nowMs: number): Promise<Response> {
  const url = new URL(request.url);
  const address = url.pathname.slice(BASE.length).replace(/\/$/, '');
  if (address === '/openapi.json') return json(request, apiDocument());
  const caller = callerOf(db, request, nowMs);
  if (!caller) return problem(401, { headers: { 'WWW-Authenticate': 'Bearer' } });
  const there = OPERATIONS.flatMap((o) => {
    const params = paramsIn(o, address);
    return params ? [{ operation: o, params }] : [];
  });
  if (there.length === 0) return problem(404, { title: API_PROBLEM.address });
  const called = there.find(({ operation }) => operation.method === request.method.toLowerCase());
  const methods = there.map(({ operation }) => operation.method.toUpperCase()).join(', ');
  if (!called) return problem(405, { headers: { Allow: methods } });
  const { operation, params } = called;
  if (!caller.scopes.includes(operation.scope)) return problem(403);
  const read = await askedOf(operation, params, request, url);
  if (!read.ok) return problem(400, { issues: read.issues });
  const outcome = await operation.does(caller.uc, read.asked);
  if (outcome.ok) return json(request, outcome.value);
  return outcome.status === 404 ? problem(404) : problem(422, { issues: outcome.issues });
}
