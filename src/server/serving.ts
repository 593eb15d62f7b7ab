import 'server-only';
import { existsSync, readFileSync } from 'node:fs';
import { SERVING } from '@/messages/serving';
import { allowedHosts } from './web-guard';

/** Where and how this process serves. */
export interface Serving {
  readonly port: number;
  /** The address of this machine that it listens on. */
  readonly host: string;
  /** Names under which it answers. */
  readonly hosts: ReadonlySet<string>;
  /** Its own certificate; null where it serves plain http, alone or behind a proxy. */
  readonly tls: { readonly cert: Buffer; readonly key: Buffer } | null;
  readonly url: string;
  /** What is said about it when it opens; empty when there is nothing to say. */
  readonly says: readonly string[];
}

/** Whether an address is this machine's own, reached from nowhere else. */
export const isLoopback = (host: string): boolean => /^(127(\.\d+){3}|localhost|::1)$/.test(host);
const HOST = /^[\w.:-]{1,253}$/;

type Env = Readonly<Record<string, string | undefined>>;

/**
 * Where to serve by what the environment says: PORT, JORVIX_HOST (an address of this machine, 0.0.0.0 for all),
 * JORVIX_HOSTS (names under which it is opened), JORVIX_CERT and JORVIX_KEY (files of a certificate) or JORVIX_PROXY
 * (yes: a proxy in front ends TLS). A sentence where it cannot be served so.
 */
export function readServing(env: Env): Serving | string {
  const port = Number(env.PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) return SERVING.port(env.PORT ?? '');
  const host = env.JORVIX_HOST ?? '127.0.0.1';
  if (!HOST.test(host)) return SERVING.host(host);
  const files = [env.JORVIX_CERT, env.JORVIX_KEY];
  if (files.filter(Boolean).length === 1) return SERVING.bothFiles;
  const missing = files.find((f) => f && !existsSync(f));
  if (missing) return SERVING.missingFile(missing);
  const [cert, key] = files.map((f) => (f ? readFileSync(f) : null));
  const tls = cert && key ? { cert, key } : null;
  const alone = isLoopback(host);
  if (env.JORVIX_DEMO === 'yes' && !alone) return SERVING.demoAlone;
  const named = env.JORVIX_HOSTS ?? '';
  if (!alone && named === '' && /^(0\.0\.0\.0|::)$/.test(host)) return SERVING.nameIt;
  const own = alone || /^(0\.0\.0\.0|::)$/.test(host) ? [] : [`${host}:${port}`];
  const shown = alone ? `127.0.0.1:${port}` : named.split(',')[0]?.trim() || `${host}:${port}`;
  return {
    port,
    host: host === 'localhost' ? '127.0.0.1' : host,
    hosts: allowedHosts(port, [...own, named].join(',')),
    tls,
    url: `${tls || env.JORVIX_PROXY === 'yes' ? 'https' : 'http'}://${shown}`,
    says: alone || tls || env.JORVIX_PROXY === 'yes' ? [] : [SERVING.plain],
  };
}
