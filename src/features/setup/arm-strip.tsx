'use client';
import { signOf } from '@/core/body/side';
import { useMemo } from 'react';
import { toBody } from '@/core/geometry/rotation';
import type { Vec3 } from '@/core/geometry/vector';
import { LAST_SAMPLE, senseOf } from '@/core/movement/chain-path';
import { toRad } from '@/core/units/angle';
import { armSilhouette } from '@/drawing/figure';
import { capsulePath } from '@/drawing/capsule';
import { Silhouettes } from '@/drawing/silhouettes';
import { px } from '@/drawing/svg-number';
import type { View } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';
import { columnOf } from './rep-track';
import type { BenchSetup } from './use-setup';

const HEIGHT = 58;
const SCALE = 62;
const SIDE_SCALE = 36;
const SHOWN = [0, 1, 2, 3, 4].map((quarter) => (quarter * LAST_SAMPLE) / 4);

/** The arm at five points of the rep, from above or from the side, right below the same points of the curve. */
export function ArmStrip({ setup, width }: { readonly setup: BenchSetup; readonly width: number }) {
  const { problem, placement, shown } = setup;
  const side = shown.worse;
  const figures = useMemo(() => {
    const { path: arm, target } = problem.limbAt(side, placement);
    // A level sweep is read from above, an upright one from the side.
    const level = senseOf(target.above[20]!) === 'up';
    const stand = { x: placement.standX, z: placement.standZ, yawRad: toRad(placement.yawDeg) };
    const q = toBody(problem.pulley(placement, side), stand);
    const flip = signOf(side);
    // Seen as in the elevation above: the columns to the left.
    const ahead = Math.cos(stand.yawRad) < 0 ? -1 : 1;
    return SHOWN.map((i) => {
      const shoulderAt = arm.proximal[i]!;
      const left = columnOf(i, width);
      // Facing up the page here, so that the strip reads like the client's own view.
      const project = ([x, y, z]: Vec3) =>
        level
          ? { u: left + (z - shoulderAt[2]) * flip * SCALE, v: HEIGHT - 14 - (x - shoulderAt[0]) * SCALE }
          : { u: left + (x - shoulderAt[0]) * ahead * SIDE_SCALE, v: HEIGHT / 2 - (y - shoulderAt[1]) * SIDE_SCALE };
      const view = {
        kind: level ? 'plan' : 'elevation',
        scale: level ? SCALE : SIDE_SCALE,
        width,
        height: HEIGHT,
        project,
        toX: () => 0,
        toOther: () => 0,
      } satisfies View;
      const grip = project(arm.contact[i]!);
      const pulley = project(q);
      const d = Math.hypot(pulley.u - grip.u, pulley.v - grip.v);
      const end = { u: grip.u + ((pulley.u - grip.u) / d) * 30, v: grip.v + ((pulley.v - grip.v) / d) * 30 };
      const shoulder = project(shoulderAt);
      const neck = level ? { u: shoulder.u - 13, v: shoulder.v } : project(problem.poseAt(i).pelvis);
      return {
        i,
        silhouette: armSilhouette(view, (v) => v, problem.body, arm, i, `strip-${i}`),
        trunk: capsulePath({ a: neck, b: shoulder, ra: 5, rb: 4 }),
        grip,
        end,
      };
    });
  }, [problem, placement, side, width]);
  return (
    <svg className={styles.strip} width={px(width)} height={HEIGHT} aria-hidden>
      {figures.map((f) => (
        <g key={f.i}>
          <Silhouettes shapes={[{ key: 'trunk', paths: [f.trunk] }, f.silhouette]} />
          <line className={styles.cable} x1={px(f.grip.u)} y1={px(f.grip.v)} x2={px(f.end.u)} y2={px(f.end.v)} />
          <circle className={styles.hand} cx={px(f.grip.u)} cy={px(f.grip.v)} r={3.5} />
        </g>
      ))}
    </svg>
  );
}
