/** Times of one measured thing, milliseconds. */
export interface Times {
  readonly median: number;
  readonly worst: number;
  readonly n: number;
}

/** Median and worst of `runs` calls, each timed on its own, after a warm-up of as many. */
export function measure(runs: number, f: (i: number) => unknown): Times {
  for (let i = 0; i < runs; i++) f(i);
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const t = performance.now();
    f(i);
    times.push(performance.now() - t);
  }
  times.sort((a, b) => a - b);
  return { median: times[Math.floor(runs / 2)]!, worst: times[runs - 1]!, n: runs };
}

/** Time per call of something too quick for the clock: `batch` calls at a time. */
export function measureBatch(batches: number, batch: number, f: (i: number) => unknown): Times {
  const t = measure(batches, (k) => {
    for (let i = 0; i < batch; i++) f(k * batch + i);
  });
  return { median: t.median / batch, worst: t.worst / batch, n: batches * batch };
}

export const ms = (x: number): string => (x < 0.1 ? `${(x * 1000).toFixed(1)} us` : `${x.toFixed(2)} ms`);

export function line(name: string, t: Times, beside?: { readonly name: string; readonly t: Times }): void {
  const ratio = beside ? `   ${(t.median / beside.t.median).toPrecision(3)} x ${beside.name}` : '';
  console.log(
    `${name.padEnd(44)} median ${ms(t.median).padStart(10)}   worst ${ms(t.worst).padStart(10)}   n ${t.n}${ratio}`,
  );
}
