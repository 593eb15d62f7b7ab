import { readdirSync } from 'node:fs';
import { sep } from 'node:path';
import { describe, expect, it } from 'vitest';
import { OPERATIONS } from '@/server/api-operations';
import { logLine, routeOf } from '@/server/watch';

describe('what is told of calls', () => {
  it('every page, route and operation by its place, with each id left out', () => {
    const files = readdirSync('src/app', { recursive: true }).map(String);
    const routes = files
      .filter((f) => /(^|\/)(page|route)\.tsx?$/.test(f) && !f.includes('[...'))
      .map((f) => `/${f.split(sep).slice(0, -1).join('/')}`);
    const calls = OPERATIONS.map((o) => `/api/v1${o.path}`);
    for (const route of [...routes, ...calls]) {
      const asked = route.replaceAll(/\[[^\]]+\]|\{\w+\}/g, 'sefina-taualofa');
      expect(routeOf(`${asked}?client=sefina#x`)).toBe(route.replaceAll(/\[[^\]]+\]|\{\w+\}/g, ':'));
    }
  });
  it.each([
    ['/', '/'],
    ['/clients/Sefina%20Taualofa', '/clients/:'],
    ['/_next/static/chunks/a-b.js', '/_next'],
    ['/Sefina/../etc', '/:/:/:'],
    ['', '/'],
  ])('%s is told as %s', (url, told) => expect(routeOf(url)).toBe(told));
  it('a line is JSON: when, how, where, how it ended and how long it took', () => {
    expect(JSON.parse(logLine('GET', '/clients/:', 200, 12.6, 0))).toEqual({
      ...{ at: '1970-01-01T00:00:00.000Z', method: 'GET', route: '/clients/:', status: 200, ms: 13 },
    });
  });
});
