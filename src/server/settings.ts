import 'server-only';
import type { WorkingSide } from '@/core/body/side';
import { entryOf } from '@/core/book/book';
import type { PosedQuestion } from '@/core/book/posed-question';
import type { Placement } from '@/core/setup/setup-problem';
import type { SettingView } from '@/contract/views/setting';
import type { Station } from '@/contract/views/station';
import { movementName } from '@/messages/book';
import { BAND_LABEL, HANDLE_LABEL } from '@/messages/floor';
import { loadLabel, loadNumber } from '@/messages/loads';
import { placeSettings } from '@/messages/place-settings';
import { limitText } from '@/messages/reasons';
import { settingText, type SettingText } from '@/messages/settings';
import type { ItemContext } from './item-context';
import { poseCase, solveOnce } from './solved';
import type { UseCase } from './use-case';

/** What to set on steel for a planned movement: as saved today, else as solved, else why not. */
export type FoundSettings =
  | {
      readonly from: 'saved' | 'solved';
      readonly placement: Placement | null;
      readonly settings: readonly SettingText[];
      readonly estimated: boolean;
      /** The limbs as they are posed there; null where what was saved no longer fits the client or the kit. */
      readonly pose: () => PosedQuestion | null;
    }
  | { readonly from: 'blocked'; readonly says: string };

/** What was solved once; what stood today stays, whatever was changed of the kit or the client since. */
export function findSettings(uc: UseCase, { client, log, item, setupCase }: ItemContext): FoundSettings {
  const estimated = client.measuredM.shoulderHeight === undefined;
  const saved = log.setups.findLast((s) => s.itemId === item.id);
  const { issues, rules, answer } = solveOnce(uc, setupCase, !saved);
  const settings = (rules ?? []).map(settingText);
  const common = { settings, estimated, pose: () => poseCase(setupCase) };
  if (saved) return { ...common, from: 'saved', placement: saved.placement };
  if (issues.length > 0) return { from: 'blocked', says: issues.map((i) => `${i.path}: ${i.message}`).join('; ') };
  if (!answer)
    return {
      from: 'blocked',
      says: `The client’s range leaves too little of the ${movementName(item.movement).toLowerCase()}.`,
    };
  if (!answer.ok) return { from: 'blocked', says: answer.violations.map((v) => limitText(v)).join(' ') };
  return { ...common, from: 'solved', placement: answer.placement };
}

/** How many settings by rule are shown beside hole and mark. */
const MOST_SETTINGS = 2;

/** What to set on steel in words, biggest first; nothing when it is blocked. */
export function settingViews(found: FoundSettings, station: Station | null, side: WorkingSide): SettingView[] {
  if (found.from === 'blocked') return [];
  const { placement: p, settings, estimated, from } = found;
  const place: SettingView[] =
    p && station ? placeSettings(station.column, p, side, from === 'solved' && estimated) : [];
  const rules = settings.filter((s) => (p === null || s.kind !== 'stops') && s.kind !== 'step').slice(0, MOST_SETTINGS);
  return [
    ...place,
    ...rules.map(({ kind, label, figure, unit, estimated: guess }) => ({
      kind,
      label,
      value: figure,
      unit,
      estimated: guess,
    })),
  ];
}

/** What is lifted, and by what. */
function loadViews({ item, unit, attachment, band }: ItemContext): SettingView[] {
  const label = loadLabel(entryOf(item.movement), item.side);
  const load: SettingView[] = label
    ? [{ kind: 'load', label, value: loadNumber(item.loadG, unit), unit, estimated: false }]
    : [];
  const handle: SettingView[] = attachment
    ? [{ kind: 'handle', label: HANDLE_LABEL, value: attachment.name, unit: '', estimated: false }]
    : [];
  const hung: SettingView[] = band
    ? [{ kind: 'band', label: BAND_LABEL, value: band.name, unit: '', estimated: false }]
    : [];
  return [...load, ...handle, ...hung];
}

/** Everything that is set, hung and lifted, biggest first; the load alone where the set-up is blocked. */
export const platesOf = (context: ItemContext, found: FoundSettings): SettingView[] => [
  ...settingViews(found, context.station, context.item.side),
  ...loadViews(context),
];
