/** A part of a region's range: from where it is longer to where it is shorter, shares of it. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** A movement with the parts of a region's range that it loads. */
export interface LoadedMovement {
  readonly id: string;
  readonly spans: readonly Span[];
}

/** Thirds of a region's range: stretched, in the middle, and shortened. */
export type Third = 'stretch' | 'middle' | 'finish';
/** Thirds, longest first. */
export const THIRDS: readonly Third[] = ['stretch', 'middle', 'finish'];

/** From this share of its own peak on a movement loads a region. */
const LOADED_SHARE = 0.75;
/** Of a third so much must be loaded to count, of what any movement here can load of it (ours). */
const ENOUGH = 0.4;
/** Where nothing here can load more of a third than this, it is no gap, shares of the range (ours). */
const LEAST_REACH = 0.1;
/** Two movements load the same where they have this much of what both load in common (ours). */
const ALIKE = 0.7;
/** Parts shorter than this are not told, shares of the range. */
const HAIR = 0.01;

/** Spans that touch or lie over each other as one, in order. */
export function unite(spans: readonly Span[]): Span[] {
  const united: Span[] = [];
  for (const s of spans.toSorted((a, b) => a.from - b.from)) {
    const last = united.at(-1);
    if (last && s.from <= last.to + 1e-9) united[united.length - 1] = { from: last.from, to: Math.max(last.to, s.to) };
    else united.push(s);
  }
  return united;
}

/** How much of the range spans make up. */
export const lengthOf = (spans: readonly Span[]): number => unite(spans).reduce((sum, s) => sum + s.to - s.from, 0);

/** What two sets of spans have in common. */
export const common = (a: readonly Span[], b: readonly Span[]): Span[] =>
  unite(a).flatMap((x) =>
    unite(b).flatMap((y) => {
      const [from, to] = [Math.max(x.from, y.from), Math.min(x.to, y.to)];
      return to > from ? [{ from, to }] : [];
    }),
  );

/**
 * The parts of a region's range that a movement loads: where demand on it is at least three quarters of its own peak
 * over the movement. `shortened`: how far the region is shortened at each sample, `demand` on it there; between samples
 * both run straight.
 */
export function loadedSpans(shortened: readonly number[], demand: readonly number[]): Span[] {
  const bar = LOADED_SHARE * Math.max(...demand);
  if (!(bar > 0)) return [];
  const spans: Span[] = [];
  for (let i = 1; i < demand.length; i++) {
    const [d0, d1, u0, u1] = [demand[i - 1]!, demand[i]!, shortened[i - 1]!, shortened[i]!];
    if (d0 < bar && d1 < bar) continue;
    const crossing = u0 + ((bar - d0) / (d1 - d0)) * (u1 - u0);
    const [a, b] = [d0 < bar ? crossing : u0, d1 < bar ? crossing : u1];
    spans.push({ from: Math.min(a, b), to: Math.max(a, b) });
  }
  return unite(spans).filter((s) => s.to - s.from > HAIR);
}

/** A third of a region's range. */
export const thirdOf = (third: Third): Span => {
  const k = THIRDS.indexOf(third);
  return { from: k / 3, to: (k + 1) / 3 };
};

/** Movements that load the same part of a region's range. */
export interface Duplicate {
  readonly ids: readonly [string, string];
  readonly where: Third;
}

/** How a week's movements load a region over its range. */
export interface RangeCoverage {
  /** Thirds that they do not load although some movement here would, with those that do, most first. */
  readonly gaps: readonly { readonly where: Third; readonly fill: readonly string[] }[];
  readonly duplicates: readonly Duplicate[];
}

/** The third in which most of some spans lies. */
const mostIn = (spans: readonly Span[]): Third =>
  THIRDS.toSorted((a, b) => lengthOf(common(spans, [thirdOf(b)])) - lengthOf(common(spans, [thirdOf(a)])))[0]!;

/** Whether two movements load little else than the same. */
const areAlike = (a: LoadedMovement, b: LoadedMovement): boolean =>
  lengthOf(a.spans) > HAIR && lengthOf(common(a.spans, b.spans)) >= ALIKE * lengthOf([...a.spans, ...b.spans]);

/**
 * Where a week's movements load a region, the thirds of its range that they leave out although a movement of `others`
 * would load them here, and pairs that load the same.
 */
export function coverRange(used: readonly LoadedMovement[], others: readonly LoadedMovement[]): RangeCoverage {
  const loaded = unite(used.flatMap((m) => m.spans));
  const within = (m: { readonly spans: readonly Span[] }, third: Third): number =>
    lengthOf(common(m.spans, [thirdOf(third)]));
  const gaps = THIRDS.flatMap((where) => {
    const reachable = within({ spans: [...loaded, ...others.flatMap((m) => m.spans)] }, where);
    if (reachable < LEAST_REACH || within({ spans: loaded }, where) >= ENOUGH * reachable) return [];
    const fill = others
      .filter((m) => within(m, where) >= ENOUGH * reachable)
      .toSorted((a, b) => within(b, where) - within(a, where));
    return fill.length === 0 ? [] : [{ where, fill: fill.map((m) => m.id) }];
  });
  const duplicates = used.flatMap((a, k) =>
    used
      .slice(k + 1)
      .filter((b) => areAlike(a, b))
      .map((b): Duplicate => ({ ids: [a.id, b.id], where: mostIn(a.spans) })),
  );
  return { gaps, duplicates };
}
