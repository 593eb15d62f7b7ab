import { chromium } from '@playwright/test';
import { parseTempo } from '@/core/tempo/tempo';
import { buildRep, repSeconds, wholePace } from '@/core/tempo/pace';
import { App, itemId } from '../e2e/support/app';
import { ARGS } from './browser';

const MINUTES = 5;

/** The pacer's ticks on the audio clock over five minutes, against the tempo. Wants a machine that does nothing else: without a sound device the audio clock is a timer. */
export async function benchDrift(): Promise<void> {
  const app = new App(true);
  await app.start();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: [...ARGS, '--autoplay-policy=no-user-gesture-required'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript({
      content: `globalThis.ticks = []; globalThis.clocks = [];
        const start = OscillatorNode.prototype.start;
        OscillatorNode.prototype.start = function (when) {
          globalThis.ticks.push(when);
          if (globalThis.clocks.length === 0) setInterval(() => { const t = this.context.getOutputTimestamp(); globalThis.clocks.push([t.contextTime, t.performanceTime / 1000]); }, 50);
          globalThis.clocks.push([-1, 0]);
          return start.call(this, when);
        };`,
    });
    await page.goto(`${app.url}/set/${itemId('anselm', 0)}`);
    await page.getByRole('button', { name: /Sound at each/ }).click();
    await page.getByRole('button', { name: /^Start set/ }).click();
    await page.waitForTimeout(MINUTES * 60_000 + 6000);
    const ticks = (await page.evaluate('ticks')) as number[];
    const clocks = ((await page.evaluate('clocks')) as [number, number][]).filter(([c]) => c > 0);
    // Without a sound device the audio clock is a timer that loses what the machine does not give it: how much, and when.
    const lost = clocks.map(([c, p]) => p - c);
    const stalls = lost.slice(1).map((l, i) => l - lost[i]!).filter((d) => d > 0.005);
    const lostAt = (audioS: number): number => lost[Math.max(0, clocks.findIndex(([c]) => c >= audioS))]! - lost[0]!;
    const pace = wholePace(parseTempo('3-1-2-1')!, 'lifting');
    const legs = buildRep(pace);
    const asked = ticks.map((_, i) => Math.floor(i / legs.length) * repSeconds(pace) + legs[i % legs.length]!.startS);
    const late = ticks.map((t, i) => (t - ticks[0]! - asked[i]!) * 1000);
    const whole = ticks.map((t, i) => late[i]! + 1000 * lostAt(t));
    const furthest = (xs: readonly number[]): string => Math.max(...xs.map(Math.abs)).toFixed(1);
    console.log(`Pacer against the audio clock, ${MINUTES} min, ${ticks.length} ticks`);
    console.log(`   furthest from the tempo by the audio clock ${furthest(late)} ms; that clock stood still ${stalls.length} times for ${(1000 * stalls.reduce((a, b) => a + b, 0)).toFixed(0)} ms in all`);
    console.log(`   furthest with what it lost added ${furthest(whole)} ms (bar 20)`);
  } finally {
    await browser.close();
    await app.stop();
  }
}
