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
/** Drawn past both edges: a narrow screen shows more to the sides, seconds. */
const BEYOND_S = 4;
const TOP = 26;
/** Half of the longest name of a leg. */
const NAME_HALF = 30;
const BOTTOM = HEIGHT - 40;
const xOf = (secondsFromNow: number): number => ((secondsFromNow + BEFORE_S) / (BEFORE_S + AFTER_S)) * WIDTH;
const yOf = (position: number): number => BOTTOM - position * (BOTTOM - TOP);

/** The asked line around now: points of the legs of every rep in sight, and where their names go. */
export function buildTrack(
  pace: Pace,
  nowS: number,
  kind: Props['kind'] = 'lift',
): { readonly d: string; readonly names: readonly { readonly x: number; readonly word: string }[] } {
  const legs = buildRep(pace);
  const whole = repSeconds(pace);
  const first = Math.max(0, Math.floor((nowS - BEFORE_S - BEYOND_S) / whole));
  const last = Math.max(0, Math.floor((nowS + AFTER_S + BEYOND_S) / whole));
  const lead = nowS - BEFORE_S - BEYOND_S;
  let d = lead > 0 ? '' : `M${px(xOf(-BEFORE_S - BEYOND_S))} ${px(yOf(legs[0]!.from))}`;
  const names: { x: number; word: string }[] = [];
  for (let rep = first; rep <= last; rep++) {
    const at = (s: number): number => xOf(rep * whole + s - nowS);
    for (const leg of legs) {
      const [a, b] = [at(leg.startS), at(leg.startS + leg.seconds)];
      if (b >= xOf(-BEFORE_S - BEYOND_S) && a <= xOf(AFTER_S + BEYOND_S))
        d += `${d === '' ? 'M' : 'L'}${px(a)} ${px(yOf(leg.from))}L${px(b)} ${px(yOf(leg.to))}`;
    }
    for (const phase of new Set(legs.map((l) => l.phase))) {
      const own = legs.filter((l) => l.phase === phase);
      const [startS, seconds] = [own[0]!.startS, own.reduce((sum, l) => sum + l.seconds, 0)];
      const x = at(startS + seconds / 2);
      // A name is whole, and over no other one, or not there.
      const free = names.length === 0 || x - names.at(-1)!.x >= 2 * NAME_HALF;
      if (free && x > NAME_HALF && x < WIDTH - NAME_HALF)
        names.push({ x, word: `${PHASE_WORD[kind][phase]} ${Math.round(10 * seconds) / 10}` });
    }
  }
  return { d, names };
}

/** Names of the legs into a group of texts, which grows as it needs and parks what it does not. */
function paintNames(group: SVGGElement | null, words: ReturnType<typeof buildTrack>['names']): void {
  if (!group) return;
  while (group.childElementCount < words.length) group.appendChild(group.firstElementChild!.cloneNode(true));
  Array.from(group.children).forEach((node, i) => {
    const w = words[i];
    node.setAttribute('x', w ? String(px(w.x)) : '-99');
    if (node.textContent !== (w?.word ?? '')) node.textContent = w?.word ?? '';
  });
}

/** The track painted frame by frame while the set runs, and once where it stands. */
function usePaintedTrack(props: Props, { begin, tell }: ReturnType<typeof usePaceTold>) {
  const { pace: asked, paceNow, elapsedS, running, recent, kind } = props;
  const track = useRef<SVGPathElement>(null);
  const mark = useRef<SVGCircleElement>(null);
  const stack = useRef<SVGPathElement>(null);
  const names = useRef<SVGGElement>(null);
  useEffect(() => {
    let frame = 0;
    begin();
    const draw = (): void => {
      const pace = paceNow();
      const nowS = elapsedS() ?? -3;
      const { d, names: words } = buildTrack(asked, nowS, kind);
      track.current?.setAttribute('d', d);
      stack.current?.setAttribute(
        'd',
        recent(BEFORE_S + BEYOND_S, nowS)
          .map((p, i) => `${i === 0 ? 'M' : 'L'}${px(xOf(-p.agoS))} ${px(yOf(p.share))}`)
          .join(''),
      );
      mark.current?.setAttribute('cy', String(px(yOf(pace?.position ?? buildRep(asked)[0]!.from))));
      paintNames(names.current, words);
      if (pace) tell(pace, nowS);
      if (running) frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [running, asked, paceNow, elapsedS, recent, kind, begin, tell]);
  return { track, mark, stack, names };
}

/** A line that rises and falls with the asked tempo and a mark that follows it; the rep count reads from two metres. */
export function Pacer(props: Props) {
  const { running, counted, onTap, kind } = props;
  const told = usePaceTold(props);
  const { shown } = told;
  const { track, mark, stack, names } = usePaintedTrack(props, told);
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
        <rect
          className={styles.past}
          x={px(xOf(-BEFORE_S - BEYOND_S))}
          y={0}
          width={px(xOf(0) - xOf(-BEFORE_S - BEYOND_S))}
          height={HEIGHT}
        />
        <path ref={track} className={styles.asked} />
        <path ref={stack} className={styles.stackLine} data-testid="stack-line" />
        <line className={styles.nowLine} x1={px(xOf(0))} x2={px(xOf(0))} y1={4} y2={HEIGHT - 24} />
        <g ref={names}>
          <text className={styles.legName} y={HEIGHT - 8} textAnchor="middle" x={-99} />
        </g>
        <circle ref={mark} className={styles.markDot} cx={px(xOf(0))} cy={px(yOf(0))} r={17} />
      </svg>
    </div>
  );
}
