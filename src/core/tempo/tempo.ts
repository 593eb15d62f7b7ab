/** The four phases of a rep by the names used everywhere. */
export const PHASES = ['lowering', 'stretch', 'lifting', 'finish'] as const;
/** A phase of a rep. */
export type Phase = (typeof PHASES)[number];
/** The phase that a rep begins with. */
export type StartPhase = 'lifting' | 'lowering';

/** Seconds of each phase; `stretch` and `finish` are the pauses at the two ends. */
export type Tempo = Readonly<Record<Phase, number>>;

/** A part of the range between two angles of the target joint that takes its own time, each way. */
export interface Section {
  readonly fromDeg: number;
  readonly toDeg: number;
  readonly seconds: number;
}

/** A tempo as written: its four numbers, where the rep begins when that is not the movement's own, and its section. */
export interface WrittenTempo {
  readonly tempo: Tempo;
  readonly startsWith: StartPhase | null;
  readonly section: Section | null;
}

/** "As fast as is controlled" is paced as one second (our assumption; the mark needs a length). */
const FAST_S = 1;
const LONGEST_PHASE_S = 20;
/** What a section can be: its angles, degrees, and each way through it, seconds; least and most. */
export const SECTION_LIMITS = { deg: [0, 180], seconds: [1, LONGEST_PHASE_S] } as const;

function parseNumbers(notation: string): Tempo | null {
  const parts = notation.split('-');
  if (parts.length !== 4 || !parts.every((p) => /^(X|\d{1,2})$/.test(p))) return null;
  const [lowering, stretch, lifting, finish] = parts.map((p) => (p === 'X' ? FAST_S : Number(p))) as [
    number,
    number,
    number,
    number,
  ];
  if (Math.max(lowering, stretch, lifting, finish) > LONGEST_PHASE_S || lowering === 0 || lifting === 0) return null;
  return { lowering, stretch, lifting, finish };
}

/**
 * A tempo as it is written: `lower-pause-lift-pause`, whole seconds or X for as fast as is controlled, then, after
 * commas, what it may carry: `lift first` or `lower first`, and one section like `30-65deg: 4s`. Null when it is not of
 * that form, a time is over 20 s, lifting or lowering takes no time, or the section's angles do not rise within 0 to
 * 180 degrees.
 */
export function parseWrittenTempo(notation: string): WrittenTempo | null {
  const [numbers, ...more] = notation
    .toUpperCase()
    .split(',')
    .map((p) => p.trim());
  const tempo = parseNumbers(numbers!);
  if (!tempo) return null;
  let startsWith: StartPhase | null = null;
  let section: Section | null = null;
  for (const piece of more) {
    const first = /^(LIFT|LOWER) FIRST$/.exec(piece);
    const slow = /^(\d{1,3})-(\d{1,3}) ?(?:DEG|°): ?(\d{1,2}) ?S$/.exec(piece);
    if (first && startsWith === null) startsWith = first[1] === 'LIFT' ? 'lifting' : 'lowering';
    else if (slow && section === null)
      section = { fromDeg: Number(slow[1]), toDeg: Number(slow[2]), seconds: Number(slow[3]) };
    else return null;
  }
  if (
    section &&
    (section.fromDeg >= section.toDeg ||
      section.toDeg > SECTION_LIMITS.deg[1] ||
      section.seconds < SECTION_LIMITS.seconds[0] ||
      section.seconds > SECTION_LIMITS.seconds[1])
  )
    return null;
  return { tempo, startsWith, section };
}

/** A written tempo with another section, or with none; as it is where it cannot be read. */
export function withSection(notation: string, section: Section | null): string {
  if (!parseWrittenTempo(notation)) return notation;
  const others = notation
    .split(',')
    .map((p) => p.trim())
    .filter((p, i) => i === 0 || !/deg|°/i.test(p));
  const slow = section ? [`${section.fromDeg}-${section.toDeg}deg: ${section.seconds}s`] : [];
  return [...others, ...slow].join(', ');
}

/** The four numbers of a tempo as written; null when it cannot be read. */
export const parseTempo = (notation: string): Tempo | null => parseWrittenTempo(notation)?.tempo ?? null;

/** Each way through a part of the range that is to be slow, seconds (common practice). */
export const SLOW_S = 4;

/**
 * A tempo in the form that it is kept in, from how people write it: `3/1/2/1`, `3 1 2 1` and `3120` for its numbers,
 * `slow 30-65` or `30-65deg: 4s` for a section, with or without a comma before it; a section alone is one of the
 * movement's own tempo. What is not understood comes back as it is.
 */
export function spellTempo(typed: string, ownTempo: string): string {
  const text = typed.trim().replace(/\s+/g, ' ');
  const slow =
    /,?\s*\bslow\s*(?:from\s*)?(\d{1,3})\s*(?:-|–|to)\s*(\d{1,3})\s*(?:deg|°)?(?:\s*:?\s*(\d{1,2})\s*s)?\s*$/i.exec(
      text,
    );
  const before = (slow ? text.slice(0, slow.index) : text).trim();
  const [numbers = '', ...more] = (slow && before === '' ? ownTempo : before).split(',').map((p) => p.trim());
  const four =
    /^(x|\d{1,2})[-–/ .](x|\d{1,2})[-–/ .](x|\d{1,2})[-–/ .](x|\d{1,2})$/i.exec(numbers) ??
    /^([x\d])([x\d])([x\d])([x\d])$/i.exec(numbers);
  if (!four) return text;
  const spelled = [four.slice(1).join('-').toUpperCase(), ...more].join(', ');
  if (!slow) return spelled;
  const asked = { fromDeg: Number(slow[1]), toDeg: Number(slow[2]), seconds: Number(slow[3] ?? SLOW_S) };
  // The section asked for takes the place of one that stands there.
  return withSection(spelled, asked);
}
