'use client';
import { useEffect, useRef, useState } from 'react';
import { buildRep, type PaceAt } from '@/core/tempo/pace';
import { repSeconds, type Phase, type Tempo } from '@/core/tempo/tempo';
import { px } from '@/drawing/svg-number';
import styles from './set.module.css';

interface Props {
  readonly tempo: Tempo;
  readonly startsWith: 'lifting' | 'lowering';
  readonly paceNow: () => PaceAt | null;
  readonly elapsedS: () => number | null;
  readonly running: boolean;
  readonly onRep: (rep: number) => void;
  readonly onPhase: (phase: Phase | 'ready') => void;
}

const WIDTH = 480;
const HEIGHT = 230;
const BEFORE_S = 3;
const AFTER_S = 7;
const TOP = 26;
const BOTTOM = HEIGHT - 40;
export const PHASE_WORD: Readonly<Record<Phase | 'ready', string>> = { lifting: 'lift', finish: 'hold', lowering: 'lower', stretch: 'stretch', ready: 'get set' };

const xOf = (secondsFromNow: number): number => ((secondsFromNow + BEFORE_S) / (BEFORE_S + AFTER_S)) * WIDTH;
const yOf = (position: number): number => BOTTOM - position * (BOTTOM - TOP);

/** The asked line around now: points of the legs of every rep in sight, and where their names go. */
export function buildTrack(tempo: Tempo, startsWith: 'lifting' | 'lowering', nowS: number): { readonly d: string; readonly names: readonly { readonly x: number; readonly word: string }[] } {
  const legs = buildRep(tempo, startsWith);
  const whole = repSeconds(tempo);
  const first = Math.max(0, Math.floor((nowS - BEFORE_S) / whole));
  const last = Math.max(0, Math.floor((nowS + AFTER_S) / whole));
  const ready = yOf(legs[0]!.from);
  let d = `M${px(xOf(-BEFORE_S))} ${px(ready)}`;
  if (nowS - BEFORE_S > 0) d = '';
  const names: { x: number; word: string }[] = [];
  for (let rep = first; rep <= last; rep++) {
    for (const leg of legs) {
      const a = xOf(rep * whole + leg.startS - nowS);
      const b = xOf(rep * whole + leg.startS + leg.seconds - nowS);
      if (b < -40 || a > WIDTH + 40) continue;
      d += `${d === '' ? 'M' : 'L'}${px(a)} ${px(yOf(leg.from))}L${px(b)} ${px(yOf(leg.to))}`;
      names.push({ x: (a + b) / 2, word: `${PHASE_WORD[leg.phase]} ${leg.seconds}` });
    }
  }
  return { d, names };
}

/** A line that rises and falls with the asked tempo and a mark that follows it; the rep count reads from two metres. */
export function Pacer({ tempo, startsWith, paceNow, elapsedS, running, onRep, onPhase }: Props) {
  const track = useRef<SVGPathElement>(null);
  const mark = useRef<SVGCircleElement>(null);
  const names = useRef<SVGGElement>(null);
  const [shown, setShown] = useState<{ rep: number; phase: Phase | 'ready'; left: number } | null>(null);
  const seen = useRef<{ done: number; phase: string; left: number; rep: number }>({ done: 0, phase: '', left: -1, rep: -1 });
  useEffect(() => {
    let frame = 0;
    const start = paceNow();
    seen.current = { done: start?.done ?? 0, phase: '', left: -1, rep: -1 };
    const draw = (): void => {
      const pace = paceNow();
      const t = elapsedS();
      const nowS = t ?? -3;
      const { d, names: words } = buildTrack(tempo, startsWith, nowS);
      track.current?.setAttribute('d', d);
      const y = px(yOf(pace?.position ?? (startsWith === 'lifting' ? 0 : 1)));
      mark.current?.setAttribute('cy', String(y));
      const group = names.current;
      if (group) {
        while (group.childElementCount < words.length) group.appendChild(group.firstElementChild!.cloneNode(true));
        Array.from(group.children).forEach((node, i) => {
          const w = words[i];
          node.setAttribute('x', w ? String(px(w.x)) : '-99');
          if (node.textContent !== (w?.word ?? '')) node.textContent = w?.word ?? '';
        });
      }
      if (pace) {
        const was = seen.current;
        const left = Math.max(1, Math.ceil(pace.leftS));
        if (pace.done > was.done) for (let rep = was.done + 1; rep <= pace.done; rep++) onRep(rep);
        if (pace.phase !== was.phase) onPhase(pace.phase);
        if (pace.rep !== was.rep || pace.phase !== was.phase || left !== was.left) setShown({ rep: pace.rep, phase: pace.phase, left });
        seen.current = { done: Math.max(was.done, pace.done), phase: pace.phase, left, rep: pace.rep };
      }
      if (running) frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [running, tempo, startsWith, paceNow, elapsedS, onRep, onPhase]);
  return (
    <div className={styles.pacer}>
      <div className={styles.count}>
        <div className={styles.rep} data-testid="rep-count" aria-live="off">
          {shown?.rep ?? 0}
        </div>
        <div className={styles.phase}>
          <span>{shown ? (running ? 'now' : 'paused') : 'press start'}</span>
          <b data-testid="phase">{shown ? PHASE_WORD[shown.phase] : 'ready'}</b>
          <span className={styles.left}>{shown ? `${shown.left} s left` : ''}</span>
        </div>
      </div>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={styles.track} aria-hidden>
        <rect className={styles.past} x={0} y={0} width={px(xOf(0))} height={HEIGHT} />
        <path ref={track} className={styles.asked} />
        <line className={styles.nowLine} x1={px(xOf(0))} x2={px(xOf(0))} y1={4} y2={HEIGHT - 24} />
        <g ref={names}>
          <text className={styles.legName} y={HEIGHT - 8} textAnchor="middle" x={-99} />
        </g>
        <circle ref={mark} className={styles.markDot} cx={px(xOf(0))} cy={px(yOf(0))} r={17} />
      </svg>
    </div>
  );
}
