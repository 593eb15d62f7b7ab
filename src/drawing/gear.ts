import type { Carry } from './figure';
import { solidPath, type Solid } from './solid';
import type { View } from './view';

/** How a thing beside the body looks: steel, a pad, a weight that the body is seen through, or what is pulled tight. */
export type GearLook = 'steel' | 'pad' | 'weight' | 'strap';

/** A thing beside the body where it stands, floor frame. */
export interface Gear {
  readonly look: GearLook;
  readonly solid: Solid;
}

/** The same on a sheet: one outline for all that is alike, in the order in which it lies. */
export interface GearShape {
  readonly key: string;
  readonly look: GearLook;
  readonly path: string;
}

export const gear = (look: GearLook, ...solids: readonly Solid[]): Gear[] => solids.map((solid) => ({ look, solid }));

/** Things of the stand frame, carried to where it stands. */
export const carried = (things: readonly Gear[], carry: Carry): Gear[] =>
  things.map(({ look, solid }) => ({
    look,
    solid:
      solid.kind === 'rod'
        ? { ...solid, from: carry(solid.from), to: carry(solid.to) }
        : { ...solid, corners: solid.corners.map(carry) },
  }));

/** Things as they are seen; neighbours of one look share an outline. */
export function gearShapes(view: View, things: readonly Gear[]): GearShape[] {
  const shapes: { key: string; look: GearLook; path: string }[] = [];
  for (const { look, solid } of things) {
    const last = shapes.at(-1);
    const path = solidPath(view, solid);
    // A pad is seen whole before the next one.
    if (last?.look === look && look !== 'pad') last.path += path;
    else shapes.push({ key: String(shapes.length), look, path });
  }
  return shapes;
}
