import { poseBody } from '@/core/body/pose-body';
import type { Body, Sized } from '@/core/body/body-model';
import { SEATED_NAMES, type SeatedName } from '@/core/body/segment-ratios';
import { add, along, type Vec3 } from '@/core/geometry/vector';
import { armSilhouette, bodySilhouettes, type Silhouette } from './figure';
import { px } from './svg-number';
import type { View } from './view';

/** A height above the seat on the seated figure. Pixels. */
export interface SeatedLine {
  readonly name: SeatedName;
  readonly v: number;
  readonly labelV: number;
  readonly cm: number;
  readonly source: Sized['source'];
}

export interface SeatedFigure {
  readonly silhouettes: readonly Silhouette[];
  readonly lines: readonly SeatedLine[];
  readonly seatV: number;
  readonly floorV: number;
  readonly backU: number;
  readonly seatEndU: number;
}

const SEAT_M = 0.45;
const LABEL_GAP = 20;

/** The client from the right, sitting tall on a seat of 45 cm, arms hanging, to scale. */
export function buildSeatedFigure(body: Body, pxPerM: number, width: number, height: number): SeatedFigure {
  const floorV = height - 12;
  const originU = width * 0.3;
  const project = ([x, y]: Vec3) => ({ u: originU + x * pxPerM, v: floorV - y * pxPerM });
  const view: View = {
    kind: 'elevation',
    scale: pxPerM,
    width,
    height,
    project,
    toX: (u) => (u - originU) / pxPerM,
    toOther: (v) => (floorV - v) / pxPerM,
  };
  const pose = poseBody(body, { kind: 'seated', seatHeightM: SEAT_M, backDeg: 90 });
  const shoulder = pose.shoulder.right;
  const elbow = add(shoulder, [0.02, -body.length.upperArm.m, 0]);
  const fore: Vec3 = [1, 0, 0];
  const wrist = along(elbow, fore, body.length.forearm.m);
  const arm = {
    side: 'right',
    chain: 'arm',
    proximal: [shoulder],
    middle: [elbow],
    distal: [wrist],
    contact: [along(wrist, fore, body.length.hand.m / 2)],
    frame: [pose.trunkFrame],
  } as const;
  const seatV = px(floorV - SEAT_M * pxPerM);
  let last = -Infinity;
  const lines = SEATED_NAMES.map((name): SeatedLine => {
    const sized = body.seated[name];
    const v = seatV - sized.m * pxPerM;
    const labelV = Math.max(v, last + LABEL_GAP);
    last = labelV;
    return { name, v, labelV, cm: Math.round(sized.m * 1000) / 10, source: sized.source };
  });
  return {
    silhouettes: [...bodySilhouettes(view, (p) => p, body, pose), armSilhouette(view, (p) => p, body, arm, 0, 'arm')],
    lines,
    seatV,
    floorV,
    backU: originU - 0.14 * pxPerM,
    seatEndU: originU + 0.36 * pxPerM,
  };
}
