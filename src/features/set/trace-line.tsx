import { buildRep, type Pace } from '@/core/tempo/pace';
import type { TracePoint, TraceRep } from '@/core/trace/segment-reps';
import { px } from '@/drawing/svg-number';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

/** A trace with the reps that it was cut into. */
export interface Trace {
  readonly points: readonly TracePoint[];
  readonly reps: readonly TraceRep[];
}

const WIDTH = 480;
const HEIGHT = 120;

/** The trace with a line where each rep begins, over what was asked of each: `paces`, from where it began. */
export function TraceLine({ points, reps, paces = [] }: Trace & { readonly paces?: readonly Pace[] }) {
  const t0 = points[0]!.tS;
  const span = points.at(-1)!.tS - t0;
  const xs = points.map((p) => p.xM);
  const [low, high] = [xs.reduce((a, b) => Math.min(a, b)), xs.reduce((a, b) => Math.max(a, b))];
  const u = (tS: number): number => px(((tS - t0) / span) * WIDTH);
  const v = (xM: number): number => px(HEIGHT - 8 - ((xM - low) / Math.max(1e-6, high - low)) * (HEIGHT - 16));
  const asked = paces.flatMap((pace, i) =>
    buildRep(pace).map((leg, k) => {
      const at = (s: number, share: number): string => `${u(reps[i]!.startS + s)} ${v(low + share * (high - low))}`;
      return `${k === 0 ? `M${at(leg.startS, leg.from)}` : ''}L${at(leg.startS + leg.seconds, leg.to)}`;
    }),
  );
  // As many points as the sheet has pixels.
  const every = Math.max(1, Math.floor(points.length / WIDTH));
  const d = points
    .filter((_, i) => i % every === 0)
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${u(p.tS)} ${v(p.xM)}`)
    .join('');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={styles.trace}
      role="img"
      aria-label={WORDS.traceOfReps(reps.length)}
    >
      {reps.map((r) => (
        <line key={r.startS} x1={u(r.startS)} x2={u(r.startS)} y1={0} y2={HEIGHT} />
      ))}
      <path d={asked.join('')} data-asked />
      <path d={d} />
    </svg>
  );
}
