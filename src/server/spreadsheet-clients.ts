import 'server-only';
import { v5 as uuidFrom } from 'uuid';
import { estimatedMassKg } from '@/core/body/estimated-mass';
import type { SheetField } from '@/core/record/spreadsheet';
import { readLengthCm, readMassKg } from '@/core/units/as-spoken';
import { STATURE_MAX_M, STATURE_MIN_M } from '@/core/body/segment-ratios';
import { MASS_MAX_KG, MASS_MIN_KG } from '@/contract/body-schema';
import type { Into, CellFault, SheetPlan } from './past-sets';

const SPACE = '9d0c7a3e-52a4-4c0b-9d8b-6a2f6f7d4b22';
/** A bare number below this is metres: nobody is three centimetres tall. */
const METRES_BELOW = 3;
const COLUMNS = ['id', 'name', 'stature_m', 'mass_kg', 'mass_estimated', 'note', 'actor_id', 'trainer_id'];
const LONGEST_NAME = 80;
const LONGEST_NOTE = 400;

/** Clients of a spreadsheet, a row each. `idOf`: of a client by this name who is on record. */
export class SheetClients {
  private readonly client: ReturnType<Into>;

  constructor(
    private readonly plan: SheetPlan,
    into: Into,
    private readonly idOf: (name: string) => string | null,
  ) {
    this.client = into('client', COLUMNS);
  }

  /** Takes a row of the sheet; tells what is wrong with it, or null. `no`: its number in the sheet. */
  take(cells: readonly string[], no: number): CellFault | null {
    const { reading, actorId } = this.plan;
    const cell = (field: SheetField): string => {
      const column = reading.columns[field];
      return column === undefined ? '' : (cells[column] ?? '').trim();
    };
    const fault = (field: SheetField): CellFault => ({ field, trouble: field });
    const name = cell('name');
    if (name === '' || name.length > LONGEST_NAME) return fault('name');
    const spoken = reading.unit === 'lb' ? 'feet-pounds' : 'metric';
    const bare = Number(cell('stature').replace(',', '.'));
    const statureCm =
      spoken === 'metric' && bare > 0 && bare < METRES_BELOW ? bare * 100 : readLengthCm(cell('stature'), spoken);
    const statureM = (statureCm ?? 0) / 100;
    if (statureM < STATURE_MIN_M || statureM > STATURE_MAX_M) return fault('stature');
    const massKg = cell('mass') === '' ? undefined : (readMassKg(cell('mass'), spoken) ?? 0);
    if (massKg !== undefined && (massKg < MASS_MIN_KG || massKg > MASS_MAX_KG)) return fault('mass');
    const note = cell('note');
    if (note.length > LONGEST_NOTE) return fault('note');
    const id = this.idOf(name) ?? uuidFrom(name.toLowerCase(), SPACE);
    const mass = [massKg ?? estimatedMassKg(statureM), massKg === undefined ? 1 : 0];
    this.client([id, name, statureM, ...mass, note, actorId, actorId], no);
    return null;
  }

  /** Nothing is left to add. */
  end(): void {}
}
