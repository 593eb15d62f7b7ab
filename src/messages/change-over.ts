/** A setting as it is written on a plate. */
interface Plate {
  readonly kind: string;
  readonly label: string;
  readonly value: string;
  readonly unit: string;
}

const written = ({ value, unit }: Plate): string =>
  unit === '' ? value : unit === '°' ? `${value}°` : `${value} ${unit}`;
/** "Mark, behind" and "Mark, in front" are both a mark. */
const named = ({ label }: Plate): string => label.split(',')[0]!.toLowerCase();

/** A setting in a line: "hole 16". */
export const settingLine = (p: Plate): string => `${named(p)} ${written(p)}`;

/** What is set once the client is in place, and not on steel. */
const NOT_ON_STEEL = ['stops', 'step'];
/** What is taken off where the next set-up has none. */
const COMES_OFF = ['handle', 'band'];

/**
 * What to change on steel from one set-up to the next, one line each: "hole 16 to 3"; what is new, "seat 4 hole"; what
 * comes off, "handle off". What stays is not told.
 */
export function changeOver(from: readonly Plate[], to: readonly Plate[]): string[] {
  const before = new Map(from.map((p) => [p.kind, p]));
  const after = new Set(to.map((p) => p.kind));
  const changed = to.flatMap((p) => {
    if (NOT_ON_STEEL.includes(p.kind)) return [];
    const was = before.get(p.kind);
    // A dumbbell becomes no stack, and a mark behind none in front: what there is then is told anew.
    if (!was || named(was) !== named(p)) return [`${named(p)} ${written(p)}`];
    if (p.kind === 'mark' && was.label !== p.label) return [`${p.label.toLowerCase()}, ${written(p)}`];
    const [a, b] = [written(was), written(p)];
    // One unit is enough where both are alike.
    return a === b ? [] : [`${named(p)} ${was.unit === p.unit && p.unit !== '' ? was.value : a} to ${b}`];
  });
  return [
    ...changed,
    ...from.filter((p) => COMES_OFF.includes(p.kind) && !after.has(p.kind)).map((p) => `${named(p)} off`),
  ];
}
