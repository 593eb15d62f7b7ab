import type { TablePoint } from './force-table';

/** A band as it was measured: its length unloaded, metres, and its force by stretch beyond that, newtons by metres. */
export interface Band {
  readonly restM: number;
  readonly table: readonly TablePoint[];
}
