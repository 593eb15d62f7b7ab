import { chromium } from '@playwright/test';
import { App, BROWSER_ARGS, itemId } from '../scripts/launch-app';

const median = (xs: number[]): number => xs.toSorted((a, b) => a - b)[Math.floor(xs.length / 2)]!;
const report = (name: string, xs: number[]): void =>
  console.log(
    `${name.padEnd(44)} median ${median(xs).toFixed(1)} ms   worst ${Math.max(...xs).toFixed(1)} ms   n ${xs.length}`,
  );

/** A page with nothing but a dot that follows the finger: what this machine and browser lose by themselves. */
const BARE = `<body style="margin:0"><svg width="900" height="600" style="touch-action:none"><circle data-testid="dot"
 cx="300" cy="300" r="30"/></svg><script>
  const dot = document.querySelector('circle');
  let held = false;
  dot.onpointerdown = (e) => { held = true; dot.setPointerCapture(e.pointerId); };
  dot.onpointermove = (e) => { if (held) { dot.setAttribute('cx', e.clientX); dot.setAttribute('cy', e.clientY); } };
  dot.onpointerup = () => { held = false; };
</script>`;

/** Frames while dragging and taps on the fault pad, by the browser's own clock; a bare page beside them. */
export async function benchBrowser(): Promise<void> {
  const app = new App(true);
  await app.start();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: BROWSER_ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await app.signIn(page.context());
    // The TypeScript runner wraps named functions with a helper that the page does not have.
    await page.addInitScript({ content: 'globalThis.__name = (f) => f' });
    // When the transaction that keeps a tap is complete: strict ones are on disk by then.
    await page.addInitScript(() => {
      const open = IDBDatabase.prototype.transaction;
      IDBDatabase.prototype.transaction = function (this: IDBDatabase, ...args: Parameters<typeof open>) {
        const tx = open.apply(this, args);
        if (tx.mode === 'readwrite' && tx.objectStoreNames.contains('device'))
          tx.addEventListener('complete', () => ((window as unknown as { kept: number }).kept = performance.now()));
        return tx;
      };
    });
    const frames = async (during: () => Promise<void>): Promise<number[]> => {
      await page.evaluate(() => {
        const w = window as unknown as { frames: number[]; stop: boolean };
        w.frames = [];
        w.stop = false;
        let last = performance.now();
        const tick = (now: number): void => {
          w.frames.push(now - last);
          last = now;
          if (!w.stop) requestAnimationFrame(tick);
        };
        requestAnimationFrame(tick);
      });
      await during();
      return page.evaluate(() => {
        const w = window as unknown as { frames: number[]; stop: boolean };
        w.stop = true;
        return w.frames.slice(2);
      });
    };
    const dragging = (testId: string, dx: number, dy: number) => async (): Promise<void> => {
      const box = (await page.getByTestId(testId).boundingBox())!;
      const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
      await page.mouse.move(x, y);
      await page.mouse.down();
      for (let i = 1; i <= 120; i++) {
        await page.mouse.move(x + dx * Math.sin(i / 12), y + dy * Math.sin(i / 12));
        await page.waitForTimeout(14);
      }
      await page.mouse.up();
    };
    console.log('Browser (Chromium at 1280x800)');
    const cdp = await page.context().newCDPSession(page);
    // A frame that misses one beat of a 60 Hz display comes after 33.3 ms, give or take the clock's tenth.
    for (const [rate, barMs, says] of [
      [1, 20, 'over 20 ms'],
      [4, 33.45, 'more than two beats of the display, 33.3 ms'],
    ] as const) {
      const drag = async (name: string, id: string, dx: number, dy: number): Promise<void> => {
        await cdp.send('Emulation.setCPUThrottlingRate', { rate });
        const seen = await frames(dragging(id, dx, dy));
        await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
        report(`frame, dragging ${name}${rate > 1 ? `, ${rate} x slower` : ''}`, seen);
        console.log(
          `   ${says}: ${seen.filter((f) => f > barMs).length} of ${seen.length} frames; a beat ` +
            `missed: ${seen.filter((f) => f > 20).length}`,
        );
      };
      await page.goto('about:blank');
      await page.setContent(BARE);
      await drag('a dot on a bare page', 'dot', 60, 0);
      await page.goto(`${app.url}/setup/${itemId('anselm', 1)}`);
      await page.waitForTimeout(2500);
      for (const [name, id, dx, dy] of [
        ['the carriage', 'drag-carriage', 0, 90],
        ['the client', 'drag-client', 60, 0],
        ['the client over the plan', 'drag-client-plan', 40, 40],
      ] as const)
        await drag(name, id, dx, dy);
    }
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    await page.goto(`${app.url}/set/${itemId('anselm', 0)}`);
    await page.getByRole('button', { name: 'Start set' }).click();
    await page.waitForTimeout(1500);
    const taps = await page.evaluate(async () => {
      // What stops a set lays the pad out anew: the buttons are those that are there now.
      const buttons = () => [...document.querySelectorAll<HTMLButtonElement>('[data-fault]')];
      const counts = (): Promise<number> =>
        new Promise((resolve, reject) => {
          const open = indexedDB.open('jorvix');
          open.onerror = () => reject(open.error);
          open.onsuccess = () => {
            const get = open.result.transaction('device').objectStore('device').get('seq');
            get.onsuccess = () => resolve(get.result as number);
          };
        });
      const screen: number[] = [];
      const disk: number[] = [];
      const readBack: number[] = [];
      for (let i = 0; i < 40; i++) {
        const button = buttons()[i % buttons().length]!;
        // The pad's mark and the undo's words change in one commit; the words change with every tap.
        const undo = document.querySelector('[data-testid=undo]')!;
        const before = undo.textContent;
        const seq = await counts();
        const start = performance.now();
        button.click();
        await new Promise<void>((done) => {
          const look = (): void => {
            if (undo.textContent !== before || performance.now() - start > 5000) done();
            else requestAnimationFrame(look);
          };
          look();
        });
        screen.push(performance.now() - start);
        while ((await counts()) === seq) await new Promise((r) => setTimeout(r, 1));
        readBack.push(performance.now() - start);
        disk.push((window as unknown as { kept: number }).kept - start);
        await new Promise((r) => setTimeout(r, 60));
      }
      return { screen, disk, readBack };
    });
    report('tap on the fault pad to its mark on screen', taps.screen);
    report('tap to the device’s disk (strict transaction)', taps.disk);
    report('tap to read back from the device’s database', taps.readBack);
  } finally {
    await browser.close();
    await app.stop();
  }
}
