'use client';
import { useEffect, useRef } from 'react';
import { buildRep, repSeconds, type Pace } from '@/core/tempo/pace';
import type { WorkKind } from '@/core/book/book-entry';
import { px } from '@/drawing/svg-number';
import { PHASE_WORD } from '@/messages/live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';
import { usePaceTold, type PacerProps } from './use-pace-told';

interface Props extends PacerProps {
  readonly kind: Exclude<WorkKind, 'hold'>;
}

const WIDTH = 480;
const HEIGHT = 230;
const BEFORE_S = 3;
const AFTER_S = 7;
/** So far ahead the first rep stands before a set, seconds. */
const FIRST_REP_S = 3;
/** Drawn past both edges: a narrow screen shows more to the sides, seconds. */
const BEYOND_S = 4;
const TOP = 26;
/** So much of the track is drawn ahead and slid under the now line before it is drawn anew, seconds. */
const DRAWN_AHEAD_S = 6;
/** Half of the longest name of a leg. */
const NAME_HALF = 30;
const BOTTOM = HEIGHT - 40;
const xOf = (secondsFromNow: number): number => ((secondsFromNow + BEFORE_S) / (BEFORE_S + AFTER_S)) * WIDTH;
/** Where the track ends to both sides, however far it has slid. */
const [FROM, TO] = [px(xOf(-BEFORE_S - BEYOND_S)), px(xOf(AFTER_S + BEYOND_S))];
const yOf = (position: number): number => BOTTOM - position * (BOTTOM - TOP);
/** How far the track slides in a time. */
const slideOf = (seconds: number): number => xOf(seconds) - xOf(0);
const downTo = (position: number): string => `translateY(${yOf(position).toFixed(2)}px)`;

/** The asked line around a moment. */
interface Track {
  readonly d: string;
  /** Names of its legs, the middle of each at x as the track was drawn. */
  readonly names: readonly { readonly x: number; readonly word: string }[];
}

/** A name is whole, or not there. */
export const isNameInSight = (x: number): boolean => x > NAME_HALF && x < WIDTH - NAME_HALF;

/** The asked line around now: points of the legs of every rep in sight until it is drawn anew, and their names. */
export function buildTrack(pace: Pace, nowS: number, kind: Props['kind'] = 'lift'): Track {
  const legs = buildRep(pace);
  const whole = repSeconds(pace);
  const first = Math.max(0, Math.floor((nowS - BEFORE_S - BEYOND_S) / whole));
  const untilS = AFTER_S + BEYOND_S + DRAWN_AHEAD_S;
  const last = Math.max(0, Math.floor((nowS + untilS) / whole));
  const lead = nowS - BEFORE_S - BEYOND_S;
  let d = lead > 0 ? '' : `M${px(xOf(-BEFORE_S - BEYOND_S))} ${px(yOf(legs[0]!.from))}`;
  const names: { x: number; word: string }[] = [];
  for (let rep = first; rep <= last; rep++) {
    const at = (s: number): number => xOf(rep * whole + s - nowS);
    for (const leg of legs) {
      const [a, b] = [at(leg.startS), at(leg.startS + leg.seconds)];
      if (b >= xOf(-BEFORE_S - BEYOND_S) && a <= xOf(untilS))
        d += `${d === '' ? 'M' : 'L'}${px(a)} ${px(yOf(leg.from))}L${px(b)} ${px(yOf(leg.to))}`;
    }
    for (const phase of new Set(legs.map((l) => l.phase))) {
      const own = legs.filter((l) => l.phase === phase);
      const [startS, seconds] = [own[0]!.startS, own.reduce((sum, l) => sum + l.seconds, 0)];
      const x = at(startS + seconds / 2);
      // Over no other one.
      if (x > -NAME_HALF && (names.length === 0 || x - names.at(-1)!.x >= 2 * NAME_HALF))
        names.push({ x, word: `${PHASE_WORD[kind][phase]} ${Math.round(10 * seconds) / 10}` });
    }
  }
  return { d, names };
}

/** Names of the legs into a group of texts, which grows as it needs and parks what it does not. */
function paintNames(group: SVGGElement, words: Track['names']): void {
  while (group.childElementCount < words.length) group.appendChild(group.firstElementChild!.cloneNode(true));
  Array.from(group.children).forEach((node, i) => {
    const w = words[i];
    node.setAttribute('x', w ? String(px(w.x)) : '-99');
    if (node.textContent !== (w?.word ?? '')) node.textContent = w?.word ?? '';
  });
}

/** Set what is not so already: what stays as it is costs no frame anything. */
function setAttribute(node: Element | null, name: string, value: string): void {
  if (node && node.getAttribute(name) !== value) node.setAttribute(name, value);
}

/** The track in its group, drawn for a while ahead; from frame to frame it is slid as it is, and not painted anew. */
class SlidingTrack {
  private drawnAtS = NaN;
  private names: Track['names'] = [];

  constructor(
    private readonly pace: Pace,
    private readonly kind: Props['kind'],
  ) {}

  show(group: SVGGElement | null, nowS: number): void {
    const [line, words] = [group?.firstElementChild, group?.lastElementChild as SVGGElement | null];
    if (!group || !line || !words) return;
    const slidS = nowS - this.drawnAtS;
    if (!(slidS >= 0 && slidS <= DRAWN_AHEAD_S)) {
      const { d, names } = buildTrack(this.pace, nowS, this.kind);
      this.drawnAtS = nowS;
      this.names = names;
      setAttribute(line, 'd', d);
      paintNames(words, names);
    }
    const slid = slideOf(nowS - this.drawnAtS);
    group.style.transform = `translateX(${(-slid).toFixed(2)}px)`;
    Array.from(words.children).forEach((node, i) => {
      const name = this.names[i];
      setAttribute(node, 'visibility', name && isNameInSight(name.x - slid) ? 'visible' : 'hidden');
    });
  }
}

/** The track painted frame by frame while the set runs, and once where it stands. */
function usePaintedTrack(props: Props, { begin, tell }: ReturnType<typeof usePaceTold>) {
  const { pace: asked, paceNow, running, recent, kind } = props;
  const track = useRef<SVGGElement>(null);
  const mark = useRef<SVGCircleElement>(null);
  const stack = useRef<SVGPathElement>(null);
  useEffect(() => {
    let frame = 0;
    const sliding = new SlidingTrack(asked, kind);
    begin();
    const draw = (): void => {
      const pace = paceNow();
      const nowS = pace?.atS ?? -FIRST_REP_S;
      sliding.show(track.current, nowS);
      setAttribute(
        stack.current,
        'd',
        recent(BEFORE_S + BEYOND_S, nowS)
          .map((p, i) => `${i === 0 ? 'M' : 'L'}${px(xOf(-p.agoS))} ${px(yOf(p.share))}`)
          .join(''),
      );
      if (mark.current) mark.current.style.transform = downTo(pace?.position ?? buildRep(asked)[0]!.from);
      if (pace) tell(pace);
      if (running) frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [running, asked, paceNow, recent, kind, begin, tell]);
  return { track, mark, stack };
}

/** A line that rises and falls with the asked tempo and a mark that follows it; the rep count reads from two metres. */
export function Pacer(props: Props) {
  const { running, counted, onTap, kind } = props;
  const told = usePaceTold(props);
  const { shown } = told;
  const { track, mark, stack } = usePaintedTrack(props, told);
  const rep = Math.max(shown?.rep ?? 0, running ? 0 : (counted ?? 0));
  return (
    <div className={styles.pacer}>
      <div className={styles.count}>
        <button
          type="button"
          className={styles.rep}
          data-testid="rep-count"
          disabled={counted === null}
          aria-label={WORDS.repDoneThePacerFollows(rep)}
          onClick={onTap}
        >
          {rep}
        </button>
        <div className={styles.phase}>
          <span>{shown ? (running ? WORDS.now : WORDS.paused) : WORDS.pressStart}</span>
          <b data-testid="phase">{shown ? PHASE_WORD[kind][shown.phase] : WORDS.ready}</b>
          <span className={styles.left}>{shown ? WORDS.sLeft(shown.left) : ''}</span>
          {running && <span>{WORDS.repDoneTapTheCount}</span>}
        </div>
      </div>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={styles.track} aria-hidden>
        <rect className={styles.past} x={FROM} y={0} width={px(xOf(0)) - FROM} height={HEIGHT} />
        <svg x={FROM} y={0} width={TO - FROM} height={HEIGHT} viewBox={`${FROM} 0 ${TO - FROM} ${HEIGHT}`}>
          <g ref={track} className={styles.sliding}>
            <path className={styles.asked} />
            <g>
              <text className={styles.legName} y={HEIGHT - 8} textAnchor="middle" x={-99} />
            </g>
          </g>
        </svg>
        <path ref={stack} className={styles.stackLine} data-testid="stack-line" />
        <line className={styles.nowLine} x1={px(xOf(0))} x2={px(xOf(0))} y1={4} y2={HEIGHT - 24} />
        <circle ref={mark} className={styles.markDot} cx={px(xOf(0))} r={17} style={{ transform: downTo(0) }} />
      </svg>
    </div>
  );
}
