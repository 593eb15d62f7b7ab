import type { FitSetting } from '@/core/book/fit-entry';

/** What a setting is of: the carriage, the floor mark, what is set by rule or fit, the load, the handle or the band. */
export type SettingKind = 'hole' | 'mark' | FitSetting['kind'] | 'load' | 'handle' | 'band';

/** One thing to set on steel, as a plate shows it. */
export interface SettingView {
  readonly kind: SettingKind;
  readonly label: string;
  readonly value: string;
  readonly unit: string;
  readonly estimated: boolean;
}
