const NUMBER = String.raw`\d+(?:\.\d+)?`;
/** "10-200 by 10", "10 to 200 by 10". */
const RANGE = new RegExp(`(${NUMBER})\\s*(?:-|–|to)\\s*(${NUMBER})\\s*by\\s*(${NUMBER})`, 'g');
/** More than this is no list that anybody means. */
const MOST = 200;

/** Numbers by a step, both ends, to a thousandth; the words themselves where the step leads nowhere. */
function expand(whole: string, from: string, to: string, by: string): string {
  const [a, b, step] = [Number(from), Number(to), Number(by)];
  const count = Math.floor((b - a) / step + 1e-9) + 1;
  if (!(step > 0) || !(count >= 1) || count > MOST) return whole.replace(/\s+/g, '');
  return Array.from({ length: count }, (_, k) => Math.round((a + k * step) * 1000) / 1000).join(' ');
}

/** Numbers typed in one box, apart by spaces or commas, single or by range; what is no number stays as it was typed. */
export const readNumberList = (typed: string): (number | string)[] =>
  typed
    .replace(RANGE, (whole, from: string, to: string, by: string) => ` ${expand(whole, from, to, by)} `)
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((t) => (Number.isFinite(Number(t)) ? Number(t) : t));
