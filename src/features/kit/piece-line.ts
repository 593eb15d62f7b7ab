import { MACHINE_KINDS } from '@/core/kit/machine';
import type { KitKind } from '@/core/kit/kit-kind';
import { ATTACHMENT_NAME, MACHINE_NAME } from '@/messages/kit';
import type { SpecValues } from './kit-fields';
import { WORDS } from '@/messages/screens/kit';

const COLUMN_WORD: Readonly<Record<string, string>> = { twin: 'twin', single: 'single', arms: WORDS.swingingArms };

/** A piece in one line of its own figures. */
export function pieceLine(kind: KitKind, s: SpecValues): string {
  const list = (v: unknown): number[] => (Array.isArray(v) ? (v as number[]) : []);
  switch (kind) {
    case 'column':
      return WORDS.holesHoleAtTheLoads(
        COLUMN_WORD[String(s.columnKind)],
        s.holes,
        s.numberedFrom,
        s.columnKind === 'single' ? '' : WORDS.cmApart(s.twinSpacingCm),
        list(s.stack).length,
        s.stackUnit,
      );
    case 'attachment':
      return WORDS.cmToTheGrip(ATTACHMENT_NAME[s.attachmentKind as keyof typeof ATTACHMENT_NAME], s.lengthCm);
    case 'bench':
      return WORDS.notchesSeatCm(s.notches, s.seatHeightCm);
    case 'preacher':
      return WORDS.seatHolesPadEdgeCm(s.holes, s.padTopCm);
    case 'machine':
      return (
        MACHINE_NAME[s.machineKind as (typeof MACHINE_KINDS)[number]] +
        (s.independentArms === 'yes' ? WORDS.sidesOnTheirOwn : '')
      );
    case 'dumbbells':
    case 'plates': {
      const l = list(s.loads);
      return `${l.length} sizes, ${Math.min(...l)} to ${Math.max(...l)} ${s.unit}`;
    }
    case 'bar':
      return `${s.massKg} kg, ${s.lengthCm} cm`;
    case 'landmine':
      return WORDS.kgBarPivotCm(s.barKg, s.pivotHeightCm);
    case 'band':
      return WORDS.cmAtRestPoints(s.restCm, list(s.table).length);
    case 'strap-anchor':
      return WORDS.cmAboveTheFloor(s.heightCm);
  }
}
