import { MACHINE_KINDS } from '@/core/kit/machine';
import type { KitKind } from '@/core/kit/kit-kind';
import { ATTACHMENT_NAME, MACHINE_NAME } from '@/messages/kit';
import type { SpecValues } from './kit-fields';

const COLUMN_WORD: Readonly<Record<string, string>> = { twin: 'twin', single: 'single', arms: 'swinging arms' };

/** A piece in one line of its own figures. */
export function pieceLine(kind: KitKind, s: SpecValues): string {
  const list = (v: unknown): number[] => (Array.isArray(v) ? (v as number[]) : []);
  switch (kind) {
    case 'column':
      return (
        `${COLUMN_WORD[String(s.columnKind)]}, ${s.holes} holes, hole 1 at the ${s.numberedFrom}` +
        (s.columnKind === 'single' ? '' : `, ${s.twinSpacingCm} cm apart`) +
        `, ${list(s.stack).length} loads in ${s.stackUnit}`
      );
    case 'attachment':
      return `${ATTACHMENT_NAME[s.attachmentKind as keyof typeof ATTACHMENT_NAME]}, ${s.lengthCm} cm to the grip`;
    case 'bench':
      return `${s.notches} notches, seat ${s.seatHeightCm} cm`;
    case 'preacher':
      return `${s.holes} seat holes, pad edge ${s.padTopCm} cm`;
    case 'machine':
      return (
        MACHINE_NAME[s.machineKind as (typeof MACHINE_KINDS)[number]] +
        (s.independentArms === 'yes' ? ', sides on their own' : '')
      );
    case 'dumbbells':
    case 'plates': {
      const l = list(s.loads);
      return `${l.length} sizes, ${Math.min(...l)} to ${Math.max(...l)} ${s.unit}`;
    }
    case 'bar':
      return `${s.massKg} kg, ${s.lengthCm} cm`;
    case 'landmine':
      return `${s.barKg} kg bar, pivot ${s.pivotHeightCm} cm`;
    case 'band':
      return `${s.restCm} cm at rest, ${list(s.table).length} points`;
    case 'strap-anchor':
      return `${s.heightCm} cm above the floor`;
  }
}
