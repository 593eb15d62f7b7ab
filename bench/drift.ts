import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { parseTempo } from '@/core/tempo/tempo';
import { buildRep, repSeconds, wholePace } from '@/core/tempo/pace';
import { App, itemId } from '../scripts/launch-app';
import { BROWSER_ARGS } from '../scripts/launch-app';

const MINUTES = 5;

/** A sound device that keeps time and is heard by nobody: PulseAudio's null sink, where PulseAudio is installed. */
async function startSilence(): Promise<{ readonly env: Record<string, string>; readonly stop: () => void } | null> {
  const home = mkdtempSync(join(tmpdir(), 'jorvix-sound-'));
  const socket = join(home, 'native');
  const env = { ...process.env, HOME: home, XDG_RUNTIME_DIR: home, PULSE_RUNTIME_PATH: home };
  const child = spawn(
    'pulseaudio',
    [
      '-n',
      '--daemonize=no',
      '--use-pid-file=no',
      '--exit-idle-time=-1',
      '-L',
      'module-null-sink rate=48000',
      '-L',
      `module-native-protocol-unix socket=${socket} auth-anonymous=1`,
    ],
    { env, stdio: 'ignore' },
  );
  const failed = new Promise<'failed'>((done) => child.once('error', () => done('failed')));
  for (let i = 0; i < 50 && !existsSync(socket); i++)
    if ((await Promise.race([failed, new Promise((r) => setTimeout(r, 100))])) === 'failed') return null;
  return {
    env: { ...(process.env as Record<string, string>), PULSE_SERVER: `unix:${socket}` },
    stop: () => child.kill(),
  };
}

/**
 * The pacer's ticks on the audio clock over five minutes, against the tempo. Wants a machine that does nothing else
 * and, for a clock that is more than a timer, PulseAudio.
 */
export async function benchDrift(): Promise<void> {
  const sound = await startSilence();
  const app = new App(true);
  await app.start();
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [...BROWSER_ARGS, '--autoplay-policy=no-user-gesture-required'],
    ignoreDefaultArgs: ['--mute-audio'],
    ...(sound ? { env: sound.env } : {}),
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await app.signIn(page.context());
    await page.addInitScript({
      content: `globalThis.ticks = []; globalThis.clocks = [];
        const start = OscillatorNode.prototype.start;
        OscillatorNode.prototype.start = function (when) {
          globalThis.ticks.push(when);
          if (globalThis.clocks.length === 0) setInterval(() => {
          const t = this.context.getOutputTimestamp();
          globalThis.clocks.push([t.contextTime, t.performanceTime / 1000]);
        }, 50);
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
    // What the audio clock lost against the page's: slowly, as any device does, and at once, where the machine stood
    // still.
    const lost = clocks.map(([c, p]) => p - c);
    const stalls = lost
      .slice(1)
      .map((l, i) => l - lost[i]!)
      .filter((d) => d > 0.005);
    const lostAt = (audioS: number): number =>
      lost[
        Math.max(
          0,
          clocks.findIndex(([c]) => c >= audioS),
        )
      ]! - lost[0]!;
    const pace = wholePace(parseTempo('3-1-2-1')!, 'lifting');
    const legs = buildRep(pace);
    const asked = ticks.map((_, i) => Math.floor(i / legs.length) * repSeconds(pace) + legs[i % legs.length]!.startS);
    const late = ticks.map((t, i) => (t - ticks[0]! - asked[i]!) * 1000);
    const whole = ticks.map((t, i) => late[i]! + 1000 * lostAt(t));
    const furthest = (xs: readonly number[]): string => Math.max(...xs.map(Math.abs)).toFixed(1);
    console.log(
      `Pacer against the audio clock, ${MINUTES} min, ${ticks.length} ` +
        `ticks${sound ? '' : '; without a sound device (install pulseaudio for a silent one) that clock is a timer'}`,
    );
    console.log(
      `   furthest from the tempo by the audio clock ${furthest(late)} ms (bar 20), which ` +
        `lost ${(1000 * (lost.at(-1)! - lost[0]!)).toFixed(0)} ms on the page’s in all; that clock ` +
        `stood still ${stalls.length} times ` +
        `for ${(1000 * stalls.reduce((a, b) => a + b, 0)).toFixed(0)} ms`,
    );
    console.log(`   furthest by the page’s clock ${furthest(whole)} ms`);
  } finally {
    await browser.close();
    await app.stop();
    sound?.stop();
  }
}
