import { clamp } from '@mantine/hooks';
import type { EntryOptions } from '@/core/book/entry-options';
import type { FitSetting } from '@/core/book/fit-entry';
import { WIDTH_STEP_M } from '@/core/book/hand-width';
import { PIN_STEP_M } from '@/core/book/pins';
import { MOST_LEAN_DEG } from '@/core/book/stand-up';
import { settingText } from '@/messages/settings';
import { FittedButton, SteppedPlate } from './stepped-plate';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** Moves a setting by rule or fit to what is really there; null lets it go back. */
export interface FitMoves {
  /** Angles of the bench's notches, degrees; empty where no bench was measured. */
  readonly notchesDeg: readonly number[];
  readonly choose: (options: Partial<EntryOptions>) => void;
}

/** Steps of a setting that has holes or notches; null for one that has neither here. */
function stepsOf(s: FitSetting, moves: FitMoves) {
  if (s.kind === 'notch' && s.notch !== null && moves.notchesDeg.length > 1) {
    const { notch } = s;
    const to = (n: number): void =>
      moves.choose({ backDeg: moves.notchesDeg[clamp(n, 1, moves.notchesDeg.length) - 1]! });
    return {
      less: WORDS.oneNotchLower,
      more: WORDS.oneNotchHigher,
      onLess: () => to(notch - 1),
      onMore: () => to(notch + 1),
      middle: (
        <FittedButton
          what={WORDS.notch}
          disabled={s.ruleDeg === null}
          onFitted={() => moves.choose({ backDeg: null })}
        />
      ),
    };
  }
  if (s.kind === 'seat-hole' || s.kind === 'back-hole') {
    const to = (hole: number): void => moves.choose({ seatHole: clamp(hole, 1, s.holes) });
    return {
      less: WORDS.lowerHoleNumber,
      more: WORDS.higherHoleNumber,
      onLess: () => to(s.hole - 1),
      onMore: () => to(s.hole + 1),
      middle: (
        <FittedButton
          what={settingText(s).label}
          disabled={s.hole === s.fits}
          onFitted={() => moves.choose({ seatHole: null })}
        />
      ),
    };
  }
  if (s.kind === 'hands')
    return lengthSteps(s, s.apartM, s.chosen, WIDTH_STEP_M, [0.1, 1.2], (gripWidthM) => moves.choose({ gripWidthM }));
  if (s.kind === 'pins')
    return lengthSteps(s, s.heightM, s.chosen, PIN_STEP_M, [0.1, 1.2], (pinM) => moves.choose({ pinM }));
  if (s.kind === 'straps')
    return lengthSteps(s, s.leanDeg, true, LEAN_STEP_DEG, [10, 75], (leanDeg) => moves.choose({ leanDeg }));
  if (s.kind === 'lean')
    return lengthSteps(s, s.leanDeg, s.chosen, LEAN_STEP_DEG, [0, MOST_LEAN_DEG], (leanDeg) =>
      moves.choose({ leanDeg }),
    );
  return null;
}

const LEAN_STEP_DEG = 5;

/** Steps of a setting that has no holes: whole steps between two ends; null lets it go back to what fits. */
function lengthSteps(
  s: FitSetting,
  value: number,
  chosen: boolean,
  step: number,
  [least, most]: readonly [number, number],
  to: (value: number | null) => void,
) {
  const go = (by: number): void =>
    to(clamp(Math.round((value / step + by) * 1e6) / 1e6, least / step, most / step) * step);
  return {
    less: WORDS.aStepLess,
    more: WORDS.aStepMore,
    onLess: () => go(-1),
    onMore: () => go(1),
    middle: <FittedButton what={settingText(s).label} disabled={!chosen} onFitted={() => to(null)} />,
  };
}

/** What is set by rule or fit, one plate each; notch and hole can be stepped to what is found. */
export function FitPlates({ settings, moves }: { readonly settings: readonly FitSetting[]; readonly moves: FitMoves }) {
  return settings.map((s) => {
    const t = settingText(s);
    const steps = stepsOf(s, moves);
    const figure = (
      <>
        {t.figure}
        <small>{t.unit}</small>
      </>
    );
    if (steps)
      return (
        <SteppedPlate
          key={s.kind}
          label={t.label}
          testId={`plate-${s.kind}`}
          note={t.note}
          estimated={t.estimated}
          {...steps}
        >
          {figure}
        </SteppedPlate>
      );
    return (
      <div key={s.kind} className={styles.plate} data-testid={`plate-${s.kind}`}>
        <div className={styles.plateLabel}>{t.label}</div>
        <div
          className={styles.plateValue}
          data-estimated={t.estimated || undefined}
          data-span={s.kind === 'stops' || undefined}
          data-long={t.figure.length > 14 || undefined}
        >
          {figure}
        </div>
        <div className={styles.plateNote}>{t.note}</div>
      </div>
    );
  });
}
