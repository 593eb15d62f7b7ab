import 'server-only';
import { randomUUID } from 'node:crypto';
import { PIN_TRIES } from '@/core/account/session-state';
import { signInWaitMs } from '@/core/account/sign-in-limit';
import {
  accountFormSchema,
  passphraseFormSchema,
  pinFormSchema,
  signInFormSchema,
  unlockFormSchema,
} from '@/contract/account-form';
import { readId } from '@/contract/id';
import { toFieldIssues } from '@/contract/field';
import { refused, type Refused, type SaveResult } from '@/contract/save-result';
import type { AccountView, DeviceView, DoorView, PersonView } from '@/contract/views/account';
import { inTransaction } from '@/data/in-transaction';
import type { Db } from '@/data/open-db';
import {
  addAccount,
  addAccountSession,
  addFailedTry,
  endSession,
  endSessionsOf,
  failedTries,
  findAccount,
  findAccountByName,
  findAccountSession,
  forgetTries,
  listAccounts,
  listAccountSessions,
  setAccountEnded,
  setPassphrase,
  setPin,
  setPinTries,
  touchSession,
  type AccountSession,
} from '@/data/queries/accounts';
import { listCare } from '@/data/queries/care';
import { ACCOUNT_REFUSAL, AT_MACHINE, DEVICE } from '@/messages/accounts';
import { moment } from '@/messages/day';
import { authenticate } from './authenticate';
import { keepChanges } from './changes';
import { hashSecret, newToken, secretFits, tokenDigest } from './secrets';
import { loadTokens } from './tokens';
import type { UseCase } from './use-case';

/** The door lets somebody in: what their device is known by from now on. */
export type Entry = { readonly ok: true; readonly token: string } | Refused;

/** What the door is asked with, before anybody is signed in. */
export interface AtDoor {
  readonly db: Db;
  readonly nowMs: number;
  /** Where the request comes from: failed tries are counted by it. */
  readonly place: string;
}

/** Tries without waiting from one place: a gym's tablets may share one. */
const PLACE_FREE_TRIES = 20;

/** What a device is called, at most so long as fits. */
const deviceName = (device: unknown): string =>
  (typeof device === 'string' ? device.trim().slice(0, 80) : '') || DEVICE;

function enter({ db, nowMs }: Pick<AtDoor, 'db' | 'nowMs'>, accountId: string, device: string): Entry {
  const token = newToken();
  addAccountSession(db, { id: randomUUID(), accountId, device, tokenHash: tokenDigest(token) }, nowMs);
  return { ok: true, token };
}

/** The first one who comes is the owner: nobody else is made from outside. */
export async function createOwner(at: AtDoor, typed: unknown, device: unknown): Promise<Entry> {
  const parsed = accountFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { name, passphrase } = parsed.data;
  const hash = await hashSecret(passphrase);
  const id = randomUUID();
  const first = inTransaction(at.db, () => {
    if (listAccounts(at.db).length > 0) return false;
    const account = { id, name, role: 'owner', passphraseHash: hash } as const;
    addAccount(at.db, account);
    const actor = { id, name, role: 'owner' } as const;
    keepChanges({ ...at, actor }, { subject: 'account', subjectId: id }, undefined, { name, role: 'owner' });
    return true;
  });
  return first ? enter(at, id, deviceName(device)) : refused('', ACCOUNT_REFUSAL.alreadyBegun);
}

/** Sign in on a device; after a few failed tries the next one waits. */
export async function signIn(at: AtDoor, typed: unknown): Promise<Entry> {
  const parsed = signInFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { name, passphrase, device } = parsed.data;
  const wait = Math.max(
    signInWaitMs(failedTries(at.db, 'name', name), at.nowMs),
    signInWaitMs(failedTries(at.db, 'place', at.place), at.nowMs, PLACE_FREE_TRIES),
  );
  if (wait > 0) return refused('passphrase', ACCOUNT_REFUSAL.wait(wait));
  // Counted before it is checked, so that many at once are many tries.
  addFailedTry(at.db, name, at.place, at.nowMs);
  const account = findAccountByName(at.db, name);
  const fits = await secretFits(account?.passphraseHash ?? null, passphrase);
  if (!account || !fits || account.endedAtMs !== null) return refused('passphrase', ACCOUNT_REFUSAL.wrong);
  forgetTries(at.db, name);
  return enter(at, account.id, device);
}

/** The demo is entered with a tap, and nothing else is: it must have been started as the demo. */
export function signInToDemo(at: AtDoor, accountId: unknown, device: unknown): Entry {
  const id = readId(accountId);
  const account = id === null ? null : findAccount(at.db, id);
  if (!isDemo() || !account || account.passphraseHash !== null) return refused('', ACCOUNT_REFUSAL.notDemo);
  return enter(at, account.id, deviceName(device));
}

/** Whether this process serves the demo: on this machine alone, and without passphrases. */
const isDemo = (): boolean => process.env.JORVIX_DEMO === 'yes';

/** Open a device that has slept with its PIN or the passphrase. Too many wrong ones sign it out. */
export async function unlock(at: AtDoor, token: string | undefined, typed: unknown): Promise<SaveResult> {
  const parsed = unlockFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const here = authenticate(at.db, token, at.nowMs);
  if (!here) return refused('secret', ACCOUNT_REFUSAL.signedOut);
  const { session, actor } = here;
  const tries = session.pinTries + 1;
  setPinTries(at.db, session.id, tries);
  if (tries > PIN_TRIES) {
    endSession(at.db, session.id, at.nowMs);
    return refused('secret', ACCOUNT_REFUSAL.signedOut);
  }
  const { secret } = parsed.data;
  const digest = findAccount(at.db, actor.id)?.passphraseHash ?? null;
  const fits =
    (session.pinHash !== null && (await secretFits(session.pinHash, secret))) || (await secretFits(digest, secret));
  if (!fits) return refused('secret', ACCOUNT_REFUSAL.wrongSecret);
  setPinTries(at.db, session.id, 0);
  touchSession(at.db, session.id, at.nowMs);
  return { ok: true, id: session.id };
}

/** Sign this device out. */
export function signOut({ db, nowMs }: Pick<AtDoor, 'db' | 'nowMs'>, token: string | undefined): void {
  const here = authenticate(db, token, nowMs);
  if (here) endSession(db, here.session.id, nowMs);
}

/** What a page that nobody is signed in on shows. */
export function loadDoor({ db, nowMs }: Pick<AtDoor, 'db' | 'nowMs'>, token: string | undefined): DoorView {
  const accounts = listAccounts(db);
  const here = authenticate(db, token, nowMs);
  return {
    first: accounts.length === 0,
    locked: here?.state === 'locked' ? { name: here.actor.name, hasPin: here.session.pinHash !== null } : null,
    demo: isDemo()
      ? accounts.flatMap(({ id, name, role, passphraseHash }) => (passphraseHash === null ? [{ id, name, role }] : []))
      : [],
  };
}

const deviceView = (s: AccountSession, here: string | null | undefined): DeviceView => ({
  id: s.id,
  device: s.device,
  begun: moment(s.begunAtMs),
  seen: moment(s.seenAtMs),
  hasPin: s.pinHash !== null,
  here: s.id === here,
});

/** One's own account. */
export function loadAccount(uc: UseCase): AccountView {
  const { db, actor, sessionId } = uc;
  return {
    tokens: loadTokens(uc),
    name: actor.name,
    role: actor.role,
    demo: findAccount(db, actor.id)?.passphraseHash === null,
    devices: listAccountSessions(db, actor.id).map((s) => deviceView(s, sessionId)),
  };
}

/** Everybody who may sign in, with their devices; null for who is not the owner. */
export function loadPeople({ db, actor, sessionId }: UseCase): PersonView[] | null {
  if (actor.role !== 'owner') return null;
  const care = [...listCare(db).values()];
  return listAccounts(db).map(({ id, name, role, endedAtMs }) => ({
    id,
    name,
    role,
    ended: endedAtMs !== null,
    clients: care.filter((c) => c.trainerId === id).length,
    devices: listAccountSessions(db, id).map((s) => deviceView(s, sessionId)),
  }));
}

/** The owner lets a trainer in. */
export async function addTrainer(uc: UseCase, typed: unknown): Promise<SaveResult> {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const parsed = accountFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { name, passphrase } = parsed.data;
  const hash = await hashSecret(passphrase);
  if (findAccountByName(uc.db, name)) return refused('name', ACCOUNT_REFUSAL.taken);
  const id = randomUUID();
  addAccount(uc.db, { id, name, role: 'trainer', passphraseHash: hash });
  keepChanges(uc, { subject: 'account', subjectId: id }, undefined, { name, role: 'trainer' });
  return { ok: true, id };
}

/** The owner ends an account, or lets it in again. The last owner stays. */
export function endAccount(uc: UseCase, id: string, end: boolean): SaveResult {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const account = findAccount(uc.db, id);
  if (!account) return refused('', ACCOUNT_REFUSAL.nobody);
  if (end && account.role === 'owner') return refused('', ACCOUNT_REFUSAL.ownerStays);
  setAccountEnded(uc.db, id, end ? uc.nowMs : null);
  const thing = { subject: 'account', subjectId: id } as const;
  keepChanges(uc, thing, { ended: account.endedAtMs === null }, { ended: !end });
  return { ok: true, id };
}

/** A passphrase in place of the one before: one's own by the one before, a trainer's by the owner. */
export async function changePassphrase(uc: UseCase, id: string, typed: unknown): Promise<SaveResult> {
  const own = id === uc.actor.id;
  if (!own && uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const account = findAccount(uc.db, id);
  if (!account) return refused('', ACCOUNT_REFUSAL.nobody);
  // Who came in with a file of records has none yet; the demo's people never do.
  if (account.passphraseHash === null && (own || isDemo())) return refused('', ACCOUNT_REFUSAL.noPassphrase);
  const parsed = passphraseFormSchema.safeParse(typeof typed === 'object' ? { ...typed, name: account.name } : typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  if (own) {
    const wait = signInWaitMs(failedTries(uc.db, 'name', account.name), uc.nowMs);
    if (wait > 0) return refused('current', ACCOUNT_REFUSAL.wait(wait));
    addFailedTry(uc.db, account.name, 'own', uc.nowMs);
    if (!(await secretFits(account.passphraseHash, parsed.data.current)))
      return refused('current', ACCOUNT_REFUSAL.wrongSecret);
    forgetTries(uc.db, account.name);
  }
  setPassphrase(uc.db, id, await hashSecret(parsed.data.passphrase));
  endSessionsOf(uc.db, id, own ? (uc.sessionId ?? null) : null, uc.nowMs);
  keepChanges(uc, { subject: 'account', subjectId: id }, { passphrase: 'one' }, { passphrase: 'another' });
  return { ok: true, id };
}

/** A PIN to go on with on this device after it has slept; an empty one takes it away. */
export async function choosePin(uc: UseCase, typed: unknown): Promise<SaveResult> {
  const { sessionId } = uc;
  if (!sessionId) return refused('pin', ACCOUNT_REFUSAL.nobody);
  if ((typed as { pin?: unknown } | null)?.pin === '') {
    setPin(uc.db, sessionId, null);
    return { ok: true, id: sessionId };
  }
  const parsed = pinFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  setPin(uc.db, sessionId, await hashSecret(parsed.data.pin));
  return { ok: true, id: sessionId };
}

/** Sign a device out: one's own, or by the owner anybody's. */
export function endDevice(uc: UseCase, deviceSessionId: string): SaveResult {
  const session = findAccountSession(uc.db, deviceSessionId);
  if (!session || (session.accountId !== uc.actor.id && uc.actor.role !== 'owner'))
    return refused('', ACCOUNT_REFUSAL.notYours);
  endSession(uc.db, session.id, uc.nowMs);
  keepChanges(uc, { subject: 'account', subjectId: session.accountId }, { device: session.device }, {});
  return { ok: true, id: session.id };
}

/**
 * Set somebody's passphrase from the machine itself, where whoever sits may read the file anyway: for an owner who
 * forgot theirs. Gives what is to be said.
 * @throws when there is nobody of that name, or the passphrase is too easily guessed.
 */
export async function setPassphraseAtMachine(db: Db, name: string, typed: string, nowMs: number): Promise<string> {
  const account = findAccountByName(db, name);
  if (!account) throw new Error(AT_MACHINE.nobody(name));
  const parsed = accountFormSchema.safeParse({ name: account.name, passphrase: typed });
  if (!parsed.success) throw new Error(AT_MACHINE.weak(toFieldIssues(parsed.error)[0]!.message));
  setPassphrase(db, account.id, await hashSecret(typed));
  setAccountEnded(db, account.id, null);
  endSessionsOf(db, account.id, null, nowMs);
  forgetTries(db, account.name);
  const actor = { id: account.id, name: account.name, role: account.role };
  const thing = { subject: 'account', subjectId: account.id } as const;
  keepChanges({ db, actor, nowMs }, thing, { passphrase: 'one' }, { passphrase: 'another' });
  return AT_MACHINE.done(account.name);
}
