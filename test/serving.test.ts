import { writeFileSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { readServing } from '@/server/serving';

const folder = mkdtempSync(join(tmpdir(), 'jorvix-serving-'));
const file = (name: string): string => {
  writeFileSync(join(folder, name), name);
  return join(folder, name);
};
const TLS = { JORVIX_CERT: file('cert.pem'), JORVIX_KEY: file('key.pem') };
const told = (env: Record<string, string>): string => {
  const s = readServing({ PORT: '4310', ...env });
  return typeof s === 'string' ? s : `${s.url} on ${s.host}${s.says.length > 0 ? ', with a warning' : ''}`;
};

it.each<[string, Record<string, string>, string | RegExp]>([
  ['nothing said', {}, 'http://127.0.0.1:4310 on 127.0.0.1'],
  ['localhost by name', { JORVIX_HOST: 'localhost' }, 'http://127.0.0.1:4310 on 127.0.0.1'],
  [
    'an address of the gym',
    { JORVIX_HOST: '192.168.1.20' },
    'http://192.168.1.20:4310 on 192.168.1.20, with a warning',
  ],
  ['the same with a certificate', { JORVIX_HOST: '192.168.1.20', ...TLS }, 'https://192.168.1.20:4310 on 192.168.1.20'],
  [
    'every address behind a proxy',
    { JORVIX_HOST: '0.0.0.0', JORVIX_HOSTS: 'jorvix.lan', JORVIX_PROXY: 'yes' },
    'https://jorvix.lan on 0.0.0.0',
  ],
  ['every address without a name', { JORVIX_HOST: '0.0.0.0' }, /JORVIX_HOSTS/],
  ['half a certificate', { JORVIX_CERT: TLS.JORVIX_CERT }, /two files/],
  ['a certificate that is not there', { ...TLS, JORVIX_KEY: '/nowhere.pem' }, /no file \/nowhere.pem/],
  ['the demo for everybody', { JORVIX_HOST: '192.168.1.20', JORVIX_DEMO: 'yes' }, /demo/],
  ['an address that is none', { JORVIX_HOST: 'a b' }, /expected an address/],
  ['no port', { PORT: '' }, /PORT/],
  ['a port that is none', { PORT: '70000' }, /PORT/],
])('%s', (_, env, says) => {
  if (typeof says === 'string') expect(told(env)).toBe(says);
  else expect(told(env)).toMatch(says);
});

it('answers to its own names and those it is told, and to no other', () => {
  const s = readServing({ PORT: '4310', JORVIX_HOST: '192.168.1.20', JORVIX_HOSTS: 'gym.lan:4310' });
  expect(typeof s === 'string' ? s : [...s.hosts].sort()).toEqual(
    ['127.0.0.1:4310', '192.168.1.20:4310', '[::1]:4310', 'gym.lan:4310', 'localhost:4310'].sort(),
  );
});
