import 'server-only';
import { createHash, randomBytes } from 'node:crypto';
import { hash, hashSync, verify } from '@node-rs/argon2';

/**
 * Argon2id with 19 MiB, two passes and one lane (OWASP Password Storage Cheat Sheet, first setting): about 30 ms on a
 * small computer, on a thread of its own.
 */
const ARGON2ID = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** Digest of a passphrase or PIN, with its own salt. */
export const hashSecret = (secret: string): Promise<string> => hash(secret, ARGON2ID);

/** Somebody who is not there takes as long to refuse as somebody who is. */
let nobody: string | null = null;
const nobodysHash = (): string => (nobody ??= hashSync(randomBytes(16).toString('hex'), ARGON2ID));

/** Whether a secret is the one of a digest; against no digest it never is, and takes as long. */
export async function secretFits(digest: string | null, secret: string): Promise<boolean> {
  const fits = await verify(digest ?? nobodysHash(), secret);
  return digest !== null && fits;
}

/** A device's token: 256 bits by chance. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token: who reads the database opens nothing with it. */
export const tokenDigest = (token: string): string => createHash('sha256').update(token).digest('hex');
