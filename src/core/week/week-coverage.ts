import type { Region } from '@/core/body/region-line';
import { answerPosed } from '@/core/book/answer-question';
import { BOOK } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import { serveHere, type ChooseInput } from '@/core/book/choose';
import { poseQuestion } from '@/core/book/pose-question';
import { shownLimb, type PosedQuestion } from '@/core/book/posed-question';
import { profileOf } from '@/core/book/profile-limb';
import type { Question } from '@/core/book/question';
import { regionCourse } from '@/core/book/region-work';
import type { LoadSamples } from '@/core/mechanics/load';
import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement } from '@/core/setup/setup-problem';
import { coverRange, loadedSpans, type LoadedMovement, type RangeCoverage, type Span } from './range-coverage';

/** A movement of the week as it was set up: where it stood at its column; null without one, or where it never stood. */
export interface UsedMovement {
  readonly question: Question;
  readonly placement: Placement | null;
}

/** How the week loads a region over its range, with the movements that do. */
export interface RegionCoverage extends RangeCoverage {
  readonly region: Region;
  readonly movements: readonly LoadedMovement[];
}

/** Load on the shown limb along the rep, of a posed movement at a place that was used, else where it is solved. */
function loadAt(posed: PosedQuestion, placement: Placement | null): LoadSamples | null {
  if (!posed.search) return profileOf(shownLimb(posed)).samples.load;
  const at = placement ? evaluatePlacement(posed.search, placement).bySide[posed.shown] : null;
  if (at) return at.samples.load;
  const answer = answerPosed(posed);
  return answer.ok ? answer.samples.load : null;
}

/** The parts of a region's range that a posed movement loads. */
export function spansOf(region: Region, posed: PosedQuestion, load: LoadSamples | null): Span[] {
  const course = load && regionCourse(region, posed.question.body, shownLimb(posed).posed.path, load);
  return course ? loadedSpans(course.shortened, course.demand) : [];
}

/** What a movement of the week loads of its own target; null where it cannot be posed any more. */
export function loadedBy({ question, placement }: UsedMovement): (LoadedMovement & { readonly region: Region }) | null {
  const posed = poseQuestion(question);
  if (!posed) return null;
  const { id, target } = question.entry;
  return { id, region: target, spans: spansOf(target, posed, loadAt(posed, placement)) };
}

/** What another movement of the book loads of its region for this client with this gym's kit; null where it cannot. */
function loadedHere(entry: BookEntry, input: ChooseInput): LoadedMovement | null {
  const served = serveHere(entry, input);
  if (served.objection) return null;
  const { from, samples } = served.answer;
  return { id: entry.id, spans: spansOf(entry.target, from, samples.load) };
}

/**
 * For each region that the week's movements are made for: which parts of its range they load from the set-ups that were
 * used, what they leave out though another movement of the book would load it here, and which load the same. `onOne` is
 * told after each movement that is solved besides, for progress.
 */
export function coverWeek(
  used: readonly UsedMovement[],
  input: ChooseInput,
  onOne: (done: number, of: number) => void = () => {},
): RegionCoverage[] {
  const loaded = used.flatMap((u) => loadedBy(u) ?? []);
  const ids = new Set<string>(used.map((u) => u.question.entry.id));
  const regions = [...new Set(loaded.filter((m) => m.spans.length > 0).map((m) => m.region))];
  const besides = BOOK.filter((e) => e.group !== 'before' && regions.includes(e.target) && !ids.has(e.id));
  const others = besides.flatMap((e, k) => {
    const here = loadedHere(e, input);
    onOne(k + 1, besides.length);
    return here ? [{ ...here, region: e.target }] : [];
  });
  return regions.map((region) => {
    const movements = loaded.filter((m) => m.region === region);
    const coverage = coverRange(
      movements,
      others.filter((m) => m.region === region),
    );
    return { ...coverage, region, movements };
  });
}
