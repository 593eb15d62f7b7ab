import { z } from 'zod';
import { API_SCOPES } from '@/core/account/api-scope';
import { weakPassphrase, weakPin, type WeakSecret } from '@/core/account/passphrase';
import { EXPECTED } from '@/messages/expected';
import { dayText } from './client-form';
import { text } from './field';

const name = text(1, 80);
/** What was typed as a secret is taken as it is: nothing is trimmed. */
const typedSecret = z
  .string({ error: EXPECTED.characters(1, 200) })
  .max(200, { error: EXPECTED.atMostCharacters(200) });

const told = (why: WeakSecret | null, path: string, issues: z.core.$ZodRawIssue[], input: unknown): void => {
  if (why !== null) issues.push({ code: 'custom', path: [path], message: EXPECTED.secret[why], input });
};

/** Somebody with a passphrase of their own. */
export const accountFormSchema = z.strictObject({ name, passphrase: z.string() }).check(({ value, issues }) => {
  told(weakPassphrase(value.passphrase, value.name), 'passphrase', issues, value.passphrase);
});

/** A passphrase in place of the one before. */
export const passphraseFormSchema = z
  .strictObject({ current: typedSecret, name: z.string(), passphrase: z.string() })
  .check(({ value, issues }) => {
    told(weakPassphrase(value.passphrase, value.name), 'passphrase', issues, value.passphrase);
  });

/** Signing in, on a device that has a name to be known by. */
export const signInFormSchema = z.strictObject({ name, passphrase: typedSecret, device: text(1, 80) });

/** What opens a device that has slept: its PIN, or the passphrase. */
export const unlockFormSchema = z.strictObject({ secret: typedSecret });

/** A PIN for this device. */
export const pinFormSchema = z.strictObject({ pin: z.string() }).check(({ value, issues }) => {
  const why = weakPin(value.pin);
  if (why !== null) issues.push({ code: 'custom', path: ['pin'], message: EXPECTED.pin[why], input: value.pin });
});

/** Another trainer for a client: until a day to stand in, for good where that is null. */
export const careFormSchema = z.strictObject({
  accountId: text(1, 64),
  until: dayText.nullable(),
});

/** A program's token as it is asked for: a name, and at least one thing that it may do. */
export const tokenFormSchema = z.object({
  name: text(1, 60),
  scopes: z.array(z.enum(API_SCOPES)).min(1, { error: EXPECTED.choice }),
});
