import {
  HEIGHT_NAMES,
  HEIGHT_RATIO,
  LENGTH_NAMES,
  LENGTH_RATIO,
  SEAT_SHARE,
  SEATED_NAMES,
  SEATED_RATIO,
  type HeightName,
  type LengthName,
  type MeasureName,
  type SeatedName,
} from './segment-ratios';

/** What was measured of a body, metres. */
export type MeasuredM = Partial<Readonly<Record<MeasureName, number>>>;

/** What the trainer knows of a client's body. Metres and kilograms; a measured value overrides its ratio. */
export interface BodyInput {
  readonly statureM: number;
  readonly massKg: number;
  readonly measuredM: MeasuredM;
}

/** A length and where it comes from: the tape, another measured value, or the ratio of stature alone. */
export interface Sized {
  readonly m: number;
  readonly source: 'measured' | 'derived' | 'estimated';
}

/** A body with every segment sized, metres and kilograms, each with its source. */
export interface Body {
  readonly statureM: number;
  readonly massKg: number;
  readonly height: Readonly<Record<HeightName, Sized>>;
  /** Above the seat, sitting tall. */
  readonly seated: Readonly<Record<SeatedName, Sized>>;
  readonly length: Readonly<Record<LengthName, Sized>>;
}

/** A measure of a body by its name, whichever group it is in. */
export function sizeOf(body: Body, name: MeasureName): Sized {
  return name in body.height
    ? body.height[name as HeightName]
    : name in body.seated
      ? body.seated[name as SeatedName]
      : body.length[name as LengthName];
}

const TRUNK_CHAIN: readonly HeightName[] = [
  'ankleHeight',
  'kneeHeight',
  'hipHeight',
  'shoulderHeight',
  'chinHeight',
  'eyeHeight',
];

/**
 * Heights up the legs and trunk. A measured height stands; one between two known ones (the floor and the stature are
 * always known) keeps its share of the gap between them, so a long leg lifts the knee and the hip together.
 */
function sizeTrunkChain(input: BodyInput): Map<HeightName, Sized> {
  const known = [{ ratio: 0, m: 0, own: false }];
  for (const name of TRUNK_CHAIN) {
    const m = input.measuredM[name];
    if (m !== undefined) known.push({ ratio: HEIGHT_RATIO[name], m, own: true });
  }
  known.push({ ratio: 1, m: input.statureM, own: false });
  const sized = new Map<HeightName, Sized>();
  for (const name of TRUNK_CHAIN) {
    const ratio = HEIGHT_RATIO[name];
    const measured = input.measuredM[name];
    if (measured !== undefined) {
      sized.set(name, { m: measured, source: 'measured' });
      continue;
    }
    const above = known.findIndex((k) => k.ratio > ratio);
    const hi = known[above]!;
    const lo = known[above - 1]!;
    const m = lo.m + ((ratio - lo.ratio) / (hi.ratio - lo.ratio)) * (hi.m - lo.m);
    sized.set(name, { m, source: lo.own || hi.own ? 'derived' : 'estimated' });
  }
  return sized;
}

/** Heights above the seat: the tape's, else from the standing shoulder, and the lower two from the seated shoulder. */
function sizeSeated(input: BodyInput, shoulder: Sized): Map<SeatedName, Sized> {
  const own = (name: SeatedName): Sized | null => {
    const m = input.measuredM[name];
    return m === undefined ? null : { m, source: 'measured' };
  };
  const follows = (from: Sized): Sized['source'] => (from.source === 'estimated' ? 'estimated' : 'derived');
  const top: Sized = own('seatedShoulder') ?? {
    m: shoulder.m - SEAT_SHARE * input.statureM,
    source: follows(shoulder),
  };
  const below = (name: SeatedName): Sized =>
    own(name) ?? {
      m: top.m - (SEATED_RATIO.seatedShoulder - SEATED_RATIO[name]) * input.statureM,
      source: follows(top),
    };
  return new Map([
    ['seatedShoulder', top],
    ['seatedArmpit', below('seatedArmpit')],
    ['seatedNipple', below('seatedNipple')],
  ]);
}

interface ArmLink {
  readonly length: LengthName;
  readonly top: HeightName;
  readonly bottom: HeightName;
}

const ARM_LINKS: readonly ArmLink[] = [
  { length: 'upperArm', top: 'shoulderHeight', bottom: 'elbowHeight' },
  { length: 'forearm', top: 'elbowHeight', bottom: 'wristHeight' },
  { length: 'hand', top: 'wristHeight', bottom: 'fingertipHeight' },
];

/**
 * Every height and length of a body in metres, each with its source.
 * Arm lengths come from the tape, else from two measured heights, else from the ratio; unmeasured arm heights hang from
 * the shoulder by those lengths. Precondition: input within `measureSpanM`; the borders check it.
 */
export function buildBody(input: BodyInput): Body {
  const height = sizeTrunkChain(input);
  const length = new Map<LengthName, Sized>();
  for (const name of LENGTH_NAMES) {
    const m = input.measuredM[name];
    length.set(
      name,
      m !== undefined ? { m, source: 'measured' } : { m: LENGTH_RATIO[name] * input.statureM, source: 'estimated' },
    );
  }
  for (const link of ARM_LINKS) {
    const top = input.measuredM[link.top];
    const bottom = input.measuredM[link.bottom];
    if (input.measuredM[link.length] === undefined && top !== undefined && bottom !== undefined) {
      length.set(link.length, { m: top - bottom, source: 'derived' });
    }
    const from = height.get(link.top)!;
    const span = length.get(link.length)!;
    const follows = from.source !== 'estimated' || span.source !== 'estimated';
    height.set(
      link.bottom,
      bottom !== undefined
        ? { m: bottom, source: 'measured' }
        : { m: from.m - span.m, source: follows ? 'derived' : 'estimated' },
    );
  }
  const seated = sizeSeated(input, height.get('shoulderHeight')!);
  return {
    statureM: input.statureM,
    massKg: input.massKg,
    seated: Object.fromEntries(SEATED_NAMES.map((n) => [n, seated.get(n)!])) as Record<SeatedName, Sized>,
    height: Object.fromEntries(HEIGHT_NAMES.map((n) => [n, height.get(n)!])) as Record<HeightName, Sized>,
    length: Object.fromEntries(LENGTH_NAMES.map((n) => [n, length.get(n)!])) as Record<LengthName, Sized>,
  };
}
