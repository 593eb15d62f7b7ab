import type { MovementId } from '@/core/book/book';
import type { ChoosingView } from '@/contract/views/choosing';

/** The client and the gym that movements are chosen for, as a link carries them. */
export const choosingQuery = ({ clientId, gymId }: Pick<ChoosingView, 'clientId' | 'gymId'>): string =>
  `?${new URLSearchParams({ ...(clientId ? { client: clientId } : {}), ...(gymId ? { gym: gymId } : {}) })}`;

/** The floor with its form open to plan a movement, as a variant where one is chosen. */
export function planQuery(
  { clientId }: Pick<ChoosingView, 'clientId'>,
  plan: MovementId,
  variant: string | null,
): string {
  const query = { plan, ...(variant ? { variant } : {}), ...(clientId ? { client: clientId } : {}) };
  return `/?${new URLSearchParams(query)}#plan`;
}

/** Fault-spotting practice on the same body and kit; of one movement, or of any. */
export const spottingQuery = (data: Pick<ChoosingView, 'clientId' | 'gymId'>, movement: MovementId | null): string =>
  `/movements/spotting${choosingQuery(data)}${movement ? `&${new URLSearchParams({ movement })}` : ''}`;
