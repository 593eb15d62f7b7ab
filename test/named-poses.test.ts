import { describe, expect, it } from 'vitest';
import { answerQuestion, posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { searchOf } from '@/core/book/posed-question';
import { settingsOf } from '@/core/book/question-settings';
import { askQuestion, type Asked } from '@/core/book/question';
import { usualOptions } from '@/core/book/entry-options';
import { sizeOf } from '@/core/body/body-model';
import { signOf, type WorkingSide } from '@/core/body/side';
import { intoFrame } from '@/core/geometry/frame';
import { dot, subtract, type Vec3 } from '@/core/geometry/vector';
import { holeHeightM } from '@/core/kit/column';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { toDeg } from '@/core/units/angle';
import { bodyOf, COLUMN, ROOM } from './support/fixtures';

/** Set-up facts that the poses of the book must carry (common practice), for three statures and both sides. */
const LAST = 40;
const samples = Array.from({ length: LAST + 1 }, (_, i) => i);
function solve(id: MovementId, h: number, side: WorkingSide = sidesOf(entryOf(id)).at(-1)!, more: Partial<Asked> = {}) {
  const column = { column: COLUMN, room: ROOM, attachmentM: 0.14 };
  const a = answerQuestion(askQuestion(entryOf(id), { body: bodyOf(h), side, column, ...more }));
  if (!a.ok) throw new Error(`${id}: ${a.reason} ${JSON.stringify(a.violations)}`);
  return a;
}
const lengths = (a: GoodAnswer) => a.from.question.body;
/** A place in the trunk's own axes from between the shoulders, metres. */
const inTrunk = (a: GoodAnswer, i: number, at: Vec3): Vec3 => {
  const pose = posedOf(a).bodyAt(i);
  return intoFrame(pose.trunkFrame, subtract(at, pose.neckBase));
};
const deg = (a: Vec3, b: Vec3): number => toDeg(Math.acos(Math.min(1, Math.max(-1, dot(a, b)))));

describe.each([1.5, 1.75, 1.98])('%d m', (h) => {
  it.each(['left', 'right'] as const)(
    'turning curl, %s: turns 165 degrees to its own side, loaded 90 % or more',
    (side) => {
      const a = solve('turning-cable-curl', h, side);
      const pose = (i: number) => posedOf(a).bodyAt(i).trunkFrame.x;
      expect(deg(pose(0), pose(LAST))).toBeCloseTo(165, 0);
      // Seen from above, to the right for the right arm: early in the turn the chest looks to that side.
      expect(pose(10)[2] * signOf(side)).toBeGreaterThan(0.3);
      expect(a.metrics.loadedShare).toBeGreaterThanOrEqual(0.9);
      expect(a.metrics.peakAt).toBeLessThan(0.5);
      expect(a.metrics.strongerHalf).toBe('first');
    },
  );

  it.each(['left', 'right'] as const)(
    'landmine row square to the bar, %s: pivot on the working side, no rest',
    (side) => {
      const a = solve('landmine-row-square', h, side);
      const { anchor, path } = posedOf(a);
      expect((anchor![2] - path.contact[0]![2]) * signOf(side)).toBeGreaterThan(1.5);
      expect(a.metrics.restShare).toBe(0);
    },
  );

  it.each(['rear-delt-pull-around', 'rear-delt-pull-around-kneeling'] as const)(
    '%s: 45 degrees off the column, near it, the line slightly down',
    (id) => {
      for (const side of ['left', 'right'] as const) {
        const a = solve(id, h, side);
        expect(Math.abs(a.placement!.yawDeg)).toBe(135);
        expect(a.placement!.standX).toBeGreaterThanOrEqual(0.5);
        expect(a.placement!.standX).toBeLessThanOrEqual(0.9);
        expect(a.metrics.loadedShare).toBeGreaterThan(0.8);
      }
    },
  );

  it.each(['rear-delt-cable-row', 'crossed-reverse-fly'] as const)(
    '%s: a lower arm path is answered by a higher pulley; as the book has it, slightly high to low',
    (id) => {
      const own = entryOf(id);
      const over = (armPathDeg: number | null): number => {
        const a = solve(id, h, sidesOf(own).at(-1)!, { options: { ...usualOptions(own), armPathDeg } });
        return holeHeightM(COLUMN, a.placement!.hole) - posedOf(a).bodyAt(0).shoulder.right[1];
      };
      expect(over(30)).toBeGreaterThan(over(2));
      expect(over(null)).toBeGreaterThanOrEqual(-0.05);
      expect(over(null)).toBeLessThan(0.4);
    },
  );

  it('a one-arm rear-deltoid fly leaves room for two steps in', () => {
    const a = solve('rear-delt-cable-fly-one-arm', h, 'right');
    expect(a.placement!.standX - searchOf(a.from).input.nearestM).toBeGreaterThanOrEqual(0.5 - 1e-9);
  });

  it('a level one-arm row: the line meets the body between the breastbone’s lower end and the lowest ribs', () => {
    const a = solve('cable-row-level-one-arm', h, 'right');
    const down = -inTrunk(a, LAST, posedOf(a).path.contact[LAST]!)[1];
    const share = down / (lengths(a).height.shoulderHeight.m - lengths(a).height.hipHeight.m);
    expect(share).toBeGreaterThan(0.35);
    expect(share).toBeLessThan(0.6);
    const rise = holeHeightM(COLUMN, a.placement!.hole) - posedOf(a).path.contact[LAST]![1];
    expect(Math.abs(toDeg(Math.atan2(rise, a.placement!.standX)))).toBeLessThan(15);
  });

  it.each(['machine-shoulder-press', 'seated-dumbbell-press'] as const)('%s starts beside the shoulders', (id) => {
    const a = solve(id, h);
    const [ahead, up, out] = inTrunk(a, 0, posedOf(a).path.contact[0]!);
    expect(up).toBeGreaterThan(-0.01 * h);
    expect(up).toBeLessThan(0.08 * h);
    expect(ahead).toBeGreaterThan(-0.02 * h);
    expect(Math.abs(out)).toBeGreaterThan(lengths(a).length.shoulderBreadth.m / 2);
  });

  it('a chest press starts level with the nipples, 3 to 8 cm ahead of the chest', () => {
    const a = solve('machine-press', h);
    const [ahead, up] = inTrunk(a, 0, posedOf(a).path.contact[0]!);
    const down = sizeOf(lengths(a), 'seatedShoulder').m - sizeOf(lengths(a), 'seatedNipple').m;
    expect(up).toBeCloseTo(-down, 3);
    expect(ahead - 0.06 * h).toBeGreaterThan(0.03);
    expect(ahead - 0.06 * h).toBeLessThan(0.08);
  });

  it('a rack pull begins at mid shin with the bar within 10 cm of the leg all the way; its pins are a setting', () => {
    const body = bodyOf(h);
    const shin = (body.height.ankleHeight.m + body.height.kneeHeight.m) / 2;
    const a = solve('rack-pull', h);
    const { path, bodyAt } = posedOf(a);
    expect(Math.abs(path.contact[0]![1] - shin)).toBeLessThan(0.03);
    for (const i of samples) {
      const { ankle, knee, hip } = bodyAt(i).leg.right;
      const [x, y] = path.contact[i]!;
      const [low, high] = y < knee[1] ? [ankle, knee] : [knee, hip];
      const bone = low[0] + ((high[0] - low[0]) * (y - low[1])) / (high[1] - low[1]);
      expect(x - bone).toBeGreaterThan(0.02);
      expect(x - bone).toBeLessThan(0.028 * h + 0.1);
    }
    const own = entryOf('rack-pull');
    const high = solve('rack-pull', h, 'both', { options: { ...usualOptions(own), pinM: 0.45 } });
    expect(posedOf(high).path.contact[0]![1]).toBeCloseTo(0.45, 3);
    expect(settingsOf(high.from).find((s) => s.kind === 'pins')).toMatchObject({ heightM: 0.45, chosen: true });
  });

  it('a standing preacher curl stoops until the armpit meets the pad', () => {
    const a = solve('preacher-curl-one-arm', h);
    const { shoulder, trunkFrame } = posedOf(a).bodyAt(0);
    expect(shoulder.right[1] - 0.065 * h * trunkFrame.y[1]).toBeCloseTo(0.98, 2);
  });

  it('a decline fly ends over the thighs, flies on benches and machines with the hands meeting', () => {
    const end = (id: MovementId): Vec3 => {
      const a = solve(id, h);
      return inTrunk(a, LAST, posedOf(a).path.contact[LAST]!);
    };
    expect(end('cable-fly-decline')[1]).toBeLessThan(-0.15 * h);
    for (const id of ['cable-fly-decline', 'cable-fly-incline', 'machine-fly'] as const)
      expect(2 * Math.abs(end(id)[2])).toBeLessThan(0.13);
  });

  it('a strap row’s pull follows the sine of its lean, and its feet go further forward for more', () => {
    const own = entryOf('strap-row');
    const at = (leanDeg: number) => {
      const found = settingsOf(solve('strap-row', h, 'both', { options: { ...usualOptions(own), leanDeg } }).from);
      const s = found.find((x) => x.kind === 'straps');
      if (s?.kind !== 'straps') throw new Error('strap-row: no lean');
      return { ...s, share: s.carryN / (bodyOf(h).massKg * GRAVITY_MS2) };
    };
    const [little, usual, much] = [at(25), at(40), at(55)];
    expect(little.carryN).toBeLessThan(usual.carryN);
    expect(usual.carryN).toBeLessThan(much.carryN);
    // Further back means the heels nearer to under the anchor.
    expect(much.footMarkM).toBeLessThan(little.footMarkM);
    for (const s of [little, usual, much]) {
      const sine = Math.sin((s.leanDeg * Math.PI) / 180);
      expect(s.share / sine).toBeGreaterThan(0.45);
      expect(s.share / sine).toBeLessThan(1);
    }
  });

  it('feet low or high on a leg press change what knee and hip hold', () => {
    const own = entryOf('leg-press');
    const knee = (feet: 'low' | 'high'): number =>
      solve('leg-press', h, 'both', { loadKg: 100, options: { ...usualOptions(own), feet } }).metrics.peakLeverM;
    expect(knee('low')).toBeGreaterThan(1.05 * knee('high'));
  });

  it('one arm reaches further up than two', () => {
    const reach = (id: MovementId): number => {
      const a = solve(id, h);
      const [x, y] = posedOf(a).path.contact[0]!;
      const { pelvis } = posedOf(a).bodyAt(0);
      return Math.hypot(x - pelvis[0], y - pelvis[1]);
    };
    expect(reach('pulldown-one-arm-underhand')).toBeGreaterThan(reach('pulldown-wide-underhand') + 0.01);
  });
});

describe('what bounds an answer', () => {
  it('no cable movement stands at the end of the floor, at a turn or at a place aside that nothing explains', () => {
    // Raises from a low pulley: from any higher one they would be other movements.
    const low = ['cross-body-cable-raise', 'front-raise-cable-from-behind'];
    const asked = BOOK.filter((e) => e.load.kind === 'cable' && e.path.kind !== 'sweep' && !low.includes(e.id));
    const at = asked.flatMap((e) =>
      [1.5, 1.75, 1.98].flatMap((h) => {
        const a = solve(e.id as MovementId, h);
        const { input, bounds } = searchOf(a.from);
        const { standX, yawDeg } = a.placement!;
        const off = Math.abs(((yawDeg - bounds.yawDeg + 540) % 360) - 180);
        // A pulley next to the movement's own heights stands there because the column ends, or the wish does.
        const height = (hole: number): number => holeHeightM(COLUMN, hole);
        const { hole } = a.placement!;
        const cut =
          (hole < COLUMN.holes && height(hole + 1) > bounds.heightM[1]) ||
          (hole > 1 && height(hole - 1) < bounds.heightM[0]);
        const end = cut || standX > input.room.maxDistanceM - 0.01 || (bounds.turnDeg > 0 && off >= bounds.turnDeg);
        return end ? [`${e.id} ${h}`] : [];
      }),
    );
    expect(at).toEqual([]);
  });
});
