import 'server-only';
import { randomUUID } from 'node:crypto';
import { tokenFormSchema } from '@/contract/account-form';
import { toFieldIssues } from '@/contract/field';
import { refused, type SaveResult } from '@/contract/save-result';
import type { TokenView } from '@/contract/views/account';
import { inTransaction } from '@/data/in-transaction';
import { addToken, listTokens, setTokenEnded } from '@/data/queries/api-tokens';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { API_TOKENS, SCOPE_TEXT } from '@/messages/api';
import { moment } from '@/messages/day';
import { keepChanges } from './changes';
import { newToken, tokenDigest } from './secrets';
import type { UseCase } from './use-case';

/** One's own programs. */
export const loadTokens = ({ db, actor }: UseCase): TokenView[] =>
  listTokens(db, actor.id).map(({ id, name, scopes, madeAtMs, usedAtMs }) => ({
    id,
    name,
    facts: API_TOKENS.facts(
      scopes.map((s) => SCOPE_TEXT[s]).join(', '),
      moment(madeAtMs),
      usedAtMs === null ? null : moment(usedAtMs),
    ),
  }));

/** Make a token for a program, which acts as oneself as far as its scopes reach. It is told this once. */
export function makeToken(uc: UseCase, typed: unknown): SaveResult<string> {
  const parsed = tokenFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { name, scopes } = parsed.data;
  const [id, token] = [randomUUID(), newToken()];
  inTransaction(uc.db, () => {
    addToken(uc.db, { id, accountId: uc.actor.id, name, scopes, madeAtMs: uc.nowMs }, tokenDigest(token));
    const after = { program: `${name}: ${scopes.map((s) => SCOPE_TEXT[s]).join(', ')}` };
    keepChanges(uc, { subject: 'account', subjectId: uc.actor.id }, {}, after);
  });
  return { ok: true, id, kept: token };
}

/** End a token of one's own: from now on it opens nothing. */
export function endToken(uc: UseCase, id: string): SaveResult {
  const token = listTokens(uc.db, uc.actor.id).find((t) => t.id === id);
  if (!token) return refused('', ACCOUNT_REFUSAL.nobody);
  inTransaction(uc.db, () => {
    setTokenEnded(uc.db, id, uc.nowMs);
    keepChanges(uc, { subject: 'account', subjectId: uc.actor.id }, { program: token.name }, {});
  });
  return { ok: true, id };
}
