import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it, vi } from 'vitest';
import { findActor, openDoor, openUseCase } from '@/server/open-use-case';

// As it is while pages are built: there is no request to read from.
vi.mock('next/headers', () => ({
  cookies: () => Promise.reject(new Error('no request')),
  headers: () => Promise.reject(new Error('no request')),
}));

it.each([
  ['findActor', findActor],
  ['openUseCase', openUseCase],
  ['openDoor', openDoor],
])('%s begins no database where nobody asked', async (_, ask) => {
  const file = join(mkdtempSync(join(tmpdir(), 'jorvix-built-')), 'gym.db');
  vi.stubEnv('JORVIX_DB', file);
  await expect(ask()).rejects.toThrow('no request');
  expect(existsSync(file)).toBe(false);
});
