import type { ChoosingData } from '@/contract/choosing-data';

/** The client and the gym that movements are chosen for, as a link carries them. */
export const choosingQuery = ({ clientId, gymId }: ChoosingData): string =>
  `?${new URLSearchParams({ ...(clientId ? { client: clientId } : {}), ...(gymId ? { gym: gymId } : {}) })}`;
