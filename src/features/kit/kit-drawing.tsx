import { capsulePath } from '@/drawing/capsule';
import type { KitScene, KitShape } from '@/drawing/kit-scene';
import { px } from '@/drawing/svg-number';
import drawing from '@/drawing/drawing.module.css';
import styles from './kit.module.css';

const LEFT = 46;
const BOTTOM = 34;
const EDGE = 10;
/** Everything fits this box; the scale is the same both ways. */
const MAX_WIDTH = 430;
const MAX_HEIGHT = 520;

function Shape({
  s,
  at,
  k,
}: {
  readonly s: KitShape;
  readonly at: (p: readonly [number, number]) => { x: number; y: number };
  readonly k: number;
}) {
  switch (s.kind) {
    case 'line': {
      const [a, b] = [at(s.from), at(s.to)];
      return (
        <line
          className={s.look === 'frame' ? drawing.rule : s.look === 'own' ? drawing.measured : drawing.estimate}
          x1={px(a.x)}
          y1={px(a.y)}
          x2={px(b.x)}
          y2={px(b.y)}
        />
      );
    }
    case 'pad': {
      const [a, b] = [at(s.from), at(s.to)];
      const d = Math.max(1, Math.hypot(b.x - a.x, b.y - a.y));
      const [nx, ny] = [((b.y - a.y) / d) * s.thick * k * 0.5, (-(b.x - a.x) / d) * s.thick * k * 0.5];
      return (
        <polygon
          className={drawing.pad}
          points={[
            [a.x + nx, a.y + ny],
            [b.x + nx, b.y + ny],
            [b.x - nx, b.y - ny],
            [a.x - nx, a.y - ny],
          ]
            .map((p) => p.map(px).join(','))
            .join(' ')}
        />
      );
    }
    case 'rod': {
      const [a, b] = [at(s.from), at(s.to)].map(({ x, y }) => ({ u: x, v: y }));
      return <path className={drawing.steel} d={capsulePath({ a: a!, b: b!, ra: s.radiusM * k, rb: s.radiusM * k })} />;
    }
    case 'dot': {
      const c = at(s.at);
      return <circle className={drawing.holeDot} cx={px(c.x)} cy={px(c.y)} r={s.own ? 4 : 2} />;
    }
    case 'label': {
      const c = at(s.at);
      return (
        <text
          className={`${drawing.figure} ${s.own ? styles.measuredNumber : styles.estimatedNumber}`}
          x={px(c.x)}
          y={px(c.y + 4.5)}
          textAnchor={s.anchor}
        >
          {s.text}
        </text>
      );
    }
  }
}

/** A piece of kit to scale with its own rulers; what was measured is solid, what follows from it dashed. */
export function KitDrawing({ scene, label }: { readonly scene: KitScene; readonly label: string }) {
  const k = Math.min((MAX_WIDTH - LEFT - EDGE) / scene.width, (MAX_HEIGHT - BOTTOM - EDGE) / scene.height);
  const width = LEFT + scene.width * k + EDGE;
  const height = EDGE + scene.height * k + BOTTOM;
  const at = ([x, y]: readonly [number, number]) => ({ x: LEFT + x * k, y: EDGE + (scene.height - y) * k });
  const floor = at([0, 0]).y;
  const ticks = (span: number, r: NonNullable<KitScene['up']>): number[] =>
    Array.from({ length: Math.floor((span * r.perUnit) / r.step + 1e-9) + 1 }, (_, i) => i * r.step);
  return (
    <svg
      className={styles.toScale}
      viewBox={`0 0 ${px(width)} ${px(height)}`}
      width="100%"
      style={{ maxWidth: MAX_WIDTH }}
      role="img"
      aria-label={label}
    >
      <line className={drawing.rule} x1={LEFT - 8} x2={px(width - EDGE)} y1={px(floor)} y2={px(floor)} />
      {scene.up && (
        <g>
          {ticks(scene.height, scene.up).map((t) => {
            const long = t % (scene.up!.step * 5) === 0;
            const y = at([0, t / scene.up!.perUnit]).y;
            return (
              <g key={t}>
                <line className={drawing.tick} x1={LEFT - (long ? 16 : 12)} x2={LEFT - 8} y1={px(y)} y2={px(y)} />
                {long && (
                  <text className={drawing.quiet} x={LEFT - 19} y={px(y + 4)} textAnchor="end">
                    {t}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      )}
      {scene.across && (
        <g>
          {ticks(scene.width, scene.across).map((t) => {
            const long = t % (scene.across!.step * 5) === 0;
            const x = at([t / scene.across!.perUnit, 0]).x;
            return (
              <g key={t}>
                <line className={drawing.tick} x1={px(x)} x2={px(x)} y1={px(floor)} y2={px(floor + (long ? 8 : 4))} />
                {long && (
                  <text className={drawing.quiet} x={px(x)} y={px(floor + 21)} textAnchor="middle">
                    {t}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      )}
      <text className={drawing.quiet} x={px(width - EDGE)} y={px(floor + 32)} textAnchor="end">
        {scene.across?.unit ?? scene.up?.unit}
      </text>
      {scene.shapes.map((s, i) => (
        <Shape key={i} s={s} at={at} k={k} />
      ))}
    </svg>
  );
}
