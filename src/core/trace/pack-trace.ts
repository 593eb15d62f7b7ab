import type { TracePoint } from './segment-reps';

/**
 * A trace as it is kept with its set: evenly spaced heights in tenths of a millimetre, of which the first two stand
 * whole and every other as its difference from where a straight line through the two before would put it. At an even
 * speed that is near nothing, so that most readings take a byte (numbers of seven bits to the byte, zigzag for signs),
 * written in 64 signs that addresses and JSON take as they are.
 */
export interface PackedTrace {
  /** Readings a second. */
  readonly hz: number;
  readonly data: string;
}

/** Quickest that is kept: reps are cut after smoothing over seven hundredths of a second. */
export const KEPT_HZ = 50;
/** Most readings that are kept of a set: a minute at that; longer sets are kept more coarsely. */
export const MOST_KEPT = 3000;
/** Longest that a packed trace can be: three bytes a reading, four signs for three bytes. */
export const MOST_PACKED = 4 * MOST_KEPT;
const PER_METRE = 10_000;
/** A gap in which nothing was heard is bridged by a straight line no longer than this, seconds. */
const LONGEST_GAP_S = 1;

/** Heights every 1/hz seconds from the first reading on, metres, straight between readings. */
function evenly(points: readonly TracePoint[], hz: number): number[] {
  const heights: number[] = [];
  const [first, last] = [points[0]!.tS, points.at(-1)!.tS];
  let k = 0;
  for (let i = 0; first + i / hz <= last + 1e-9; i++) {
    const t = first + i / hz;
    while (k < points.length - 2 && points[k + 1]!.tS < t) k++;
    const [a, b] = [points[k]!, points[k + 1]!];
    const share = b.tS > a.tS ? Math.min(1, Math.max(0, (t - a.tS) / (b.tS - a.tS))) : 0;
    heights.push(a.xM + share * (b.xM - a.xM));
  }
  return heights;
}

const zigzag = (n: number): number => (n < 0 ? -2 * n - 1 : 2 * n);
const unzigzag = (z: number): number => (z % 2 === 1 ? -(z + 1) / 2 : z / 2);

function toBytes(numbers: readonly number[]): number[] {
  return numbers.flatMap((n) => {
    const bytes: number[] = [];
    let z = zigzag(n);
    for (; z >= 128; z = Math.floor(z / 128)) bytes.push((z % 128) + 128);
    return [...bytes, z];
  });
}

function fromBytes(bytes: readonly number[]): number[] | null {
  const numbers: number[] = [];
  let [z, place] = [0, 1];
  for (const b of bytes) {
    z += (b % 128) * place;
    if (b >= 128) place *= 128;
    else {
      numbers.push(unzigzag(z));
      [z, place] = [0, 1];
    }
    if (place > 2 ** 42) return null;
  }
  return place === 1 ? numbers : null;
}

const SIGNS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';
const VALUE: ReadonlyMap<string, number> = new Map([...SIGNS].map((c, i) => [c, i]));

/** Six bits to a sign (base64url, RFC 4648 section 5, without padding). */
function toSigns(bytes: readonly number[]): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 3) {
    const [a = 0, b = 0, c = 0] = bytes.slice(i, i + 3);
    const left = Math.min(3, bytes.length - i);
    const all = (a << 16) | (b << 8) | c;
    for (let k = 0; k <= left; k++) text += SIGNS[(all >> (18 - 6 * k)) & 63];
  }
  return text;
}

function fromSigns(text: string): number[] | null {
  const bytes: number[] = [];
  for (let i = 0; i < text.length; i += 4) {
    const values = [...text.slice(i, i + 4)].map((c) => VALUE.get(c) ?? -1);
    if (values.length === 1 || values.includes(-1)) return null;
    const all = values.reduce((sum, v, k) => sum | (v << (18 - 6 * k)), 0);
    for (let k = 0; k < values.length - 1; k++) bytes.push((all >> (16 - 8 * k)) & 255);
  }
  return bytes;
}

/** A trace as it is kept; null where it has fewer than three readings, stands still in time, or has a gap. */
export function packTrace(points: readonly TracePoint[]): PackedTrace | null {
  const spanS = points.length < 3 ? 0 : points.at(-1)!.tS - points[0]!.tS;
  if (!(spanS > 0) || points.slice(1).some((p, k) => !(p.tS - points[k]!.tS <= LONGEST_GAP_S))) return null;
  const hz = Math.min(KEPT_HZ, Math.floor((100 * (MOST_KEPT - 1)) / spanS) / 100);
  if (!(hz > 0)) return null;
  const at = evenly(points, hz).map((x) => Math.round(x * PER_METRE));
  const parts = at.map((x, i) => (i < 2 ? x : x - 2 * at[i - 1]! + at[i - 2]!));
  return { hz, data: toSigns(toBytes(parts)) };
}

/** The readings of a kept trace, seconds from its first and metres; null for what is none. */
export function unpackTrace({ hz, data }: PackedTrace): readonly TracePoint[] | null {
  const bytes = fromSigns(data);
  const parts = bytes && fromBytes(bytes);
  if (!parts || parts.length < 2 || parts.length > MOST_KEPT || !(hz > 0)) return null;
  const at: number[] = [];
  parts.forEach((p, i) => at.push(i < 2 ? p : p + 2 * at[i - 1]! - at[i - 2]!));
  return at.every(Number.isSafeInteger) ? at.map((x, i) => ({ tS: i / hz, xM: x / PER_METRE })) : null;
}
