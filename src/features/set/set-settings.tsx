'use client';
import { Alert, NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { IconAdjustmentsHorizontal } from '@tabler/icons-react';
import { useState } from 'react';
import { platesPerSide } from '@/core/load/plates-per-side';
import { findNeighbourStep } from '@/core/load/stack-steps';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { SettingView } from '@/contract/views/setting';
import type { SetView } from '@/contract/views/set';
import { Link } from '@/features/shell/link';
import { loadNumber, loadText } from '@/messages/loads';
import { bandAdviceText, PROGRESS_TEXT } from '@/messages/progress';
import { RESERVE_TEXT, SCHEME_TEXT, schemeText, tempoExtras, tempoNumbers } from '@/messages/schemes';
import { placeSettings } from '@/messages/place-settings';
import { markLabel, shortLabel } from '@/messages/settings';
import { SchemeEditor } from './scheme-editor';
import { Steppers } from './steppers';
import type { LiveSetControl } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface Props {
  readonly plan: SetView;
  readonly control: LiveSetControl;
}

/** The mark of the part that is done now, where its scheme moves the client. */
const withMark = (s: SettingView, standX: number | null): SettingView =>
  standX === null || s.kind !== 'mark'
    ? s
    : { ...s, label: markLabel(standX), value: String(Math.abs(Math.round(standX * 100))) };

/** Settings as they stand: hole and mark as saved last, also while the server's own have not followed yet. */
function settingsNow(plan: SetView, { setup }: LiveSetControl['live']): readonly SettingView[] {
  const { column, settings, item } = plan;
  if (!setup?.placement || !column || setup.id === plan.setupId) return settings;
  const place = placeSettings(column, setup.placement, item.side, false);
  return [...place, ...settings.filter((s) => place.every((p) => p.kind !== s.kind))];
}

/** What will be lifted, stepped between sets; the plates that make it up, and what today's is advised to be. */
function LoadSetting({ plan, control, label }: Props & { readonly label: string }) {
  const { bar, unit, stackG, limits } = plan;
  const { live, chooseLoad } = control;
  const { advice } = live;
  const canChange = !live.open && !live.pain;
  const loadG = live.open ? live.part.loadG : live.loadG;
  const sides = bar && platesPerSide(loadG, bar.barG, bar.platesG, bar.pairs);
  const lighter = findNeighbourStep(stackG, loadG, -1);
  const next = findNeighbourStep(stackG, loadG, 1);
  const heavier = next !== null && limits.mostLoadG !== null && next > limits.mostLoadG ? null : next;
  const to = (g: number | null) => (g === null ? null : () => chooseLoad(g));
  return (
    <div className={styles.plate}>
      <span>{shortLabel(label)}</span>
      <b data-testid="set-load">
        {loadNumber(loadG, unit)}
        <small>{unit}</small>
      </b>
      {unit === 'lb' && <span data-testid="other-unit">{loadText(loadG, 'kg')}</span>}
      {sides && (
        <span data-testid="per-side">
          {sides.length > 0 ? WORDS.eachEnd(sides.map((g) => loadNumber(g, unit)).join(' + ')) : WORDS.barAlone}
        </span>
      )}
      {live.proposal && canChange && (
        <span data-testid="proposal">
          {WORDS.goodForTwenty(loadText(live.proposal.by.loadG, unit), live.proposal.by.reps)}
        </span>
      )}
      {advice && canChange && (
        <button
          type="button"
          className={styles.advice}
          data-testid="advice"
          disabled={advice.loadG === loadG}
          onClick={() => chooseLoad(advice.loadG)}
        >
          <b>{loadText(advice.loadG, unit)}</b> {PROGRESS_TEXT[advice.why]}
        </button>
      )}
      {limits.mostLoadG !== null && <span>{WORDS.cliniciansLimit(loadText(limits.mostLoadG, unit))}</span>}
      {canChange && (
        <Steppers less={WORDS.oneStepLighter} more={WORDS.oneStepHeavier} onLess={to(lighter)} onMore={to(heavier)} />
      )}
    </div>
  );
}

/** Which band is under the feet, what it takes off, and the one that leaves the movement's reps. */
function BandSetting({ plan, control }: Props) {
  const listening = useMounted();
  const { live, chooseBand } = control;
  const { bands, bandlessN } = plan;
  const hung = bands.find((b) => b.id === live.bandId);
  if (!hung) return null;
  const canChange = !live.open && !live.pain;
  const advice = live.bandAdvice;
  const nameOf = (id: string): string => bands.find((b) => b.id === id)!.name;
  return (
    <div className={styles.plate}>
      <span>{WORDS.band}</span>
      <b data-span data-testid="set-band">
        {hung.name}
      </b>
      <span>{WORDS.bandDoes(Math.round((hung.handsN - bandlessN) / GRAVITY_MS2))}</span>
      {canChange && advice && (
        <button
          type="button"
          className={styles.advice}
          data-testid="band-advice"
          disabled={advice.bandId === hung.id}
          onClick={() => chooseBand(advice.bandId)}
        >
          <b>{nameOf(advice.bandId)}</b> {bandAdviceText(advice, advice.by.reps, nameOf(advice.by.bandId))}
        </button>
      )}
      {canChange && bands.length > 1 && (
        <NativeSelect
          className={styles.bandChoice}
          disabled={!listening}
          aria-label={WORDS.whichBand}
          value={hung.id}
          data={bands.map((b) => ({ value: b.id, label: b.name }))}
          onChange={(e) => chooseBand(e.currentTarget.value)}
        />
      )}
    </div>
  );
}

/** What the part asks for, and between sets how the set is done. */
function AimSetting({ plan, control }: Props) {
  // A choice made before the page listens would fall back unseen.
  const listening = useMounted();
  const [open, setOpen] = useState(false);
  const { live, give } = control;
  const { part, scheme, choices, lastScheme } = live;
  const canChange = !live.open && !live.pain;
  const kind = live.movement.work;
  return (
    <div className={styles.plate}>
      <span>{WORDS.aim}</span>
      <b>
        {part.reps}
        <small>
          {kind === 'hold'
            ? WORDS.holdsAim(part.reps, live.pace.tempo.stretch)
            : WORDS.atTempo(tempoNumbers(part.tempo))}
        </small>
      </b>
      {tempoExtras(part.tempo).map((x) => (
        <span key={x}>{x}</span>
      ))}
      {choices.reserve !== null && <span data-testid="reserve">{RESERVE_TEXT[choices.reserve]}</span>}
      {canChange && (
        <button
          type="button"
          className={styles.how}
          aria-label={kind === 'lift' ? WORDS.changeHow(SCHEME_TEXT[scheme]) : undefined}
          disabled={!listening}
          onClick={() => setOpen(true)}
        >
          {kind === 'lift' ? SCHEME_TEXT[scheme] : WORDS.changeIt}
          <IconAdjustmentsHorizontal stroke={1.5} aria-hidden />
        </button>
      )}
      {canChange && lastScheme && (
        <button
          type="button"
          className={styles.advice}
          data-testid="last-scheme"
          onClick={() => void give({ do: 'choose-scheme', ...lastScheme })}
        >
          {WORDS.asLastTime(schemeText(lastScheme))}
        </button>
      )}
      {open && canChange && <SchemeEditor plan={plan} control={control} onClose={() => setOpen(false)} />}
    </div>
  );
}

/** Marks of the drops that the set is done with, where its scheme moves the client. */
const dropsOf = ({ drops }: SetView, { scheme }: LiveSetControl['live']) =>
  drops.says.filter((d) => d.scheme === scheme);

/** Settings as they stand, down the left: hole, mark, load, aim. */
export function SetSettings({ plan, control }: Props) {
  const { standX } = control.live.part;
  return (
    <section className={styles.plates} aria-label={WORDS.settings}>
      {settingsNow(plan, control.live)
        .map((s) => withMark(s, standX))
        .map((s) => (
          <div key={s.kind} className={styles.plate} data-short={s.value.length < 4 || undefined}>
            <span>{shortLabel(s.label)}</span>
            <b data-span={s.value.length > 4 || undefined} data-long={s.value.length > 14 || undefined}>
              {s.value}
              {s.unit && <small>{s.unit}</small>}
            </b>
          </div>
        ))}
      {dropsOf(plan, control.live).map((d) => (
        <div key={d.label} className={styles.plate} data-drops data-testid="drop-marks">
          <span>{d.label}</span>
          <b>{d.marks}</b>
        </div>
      ))}
      {plan.blocked && (
        <Alert className={styles.blocked} role="note">
          {plan.blocked}
        </Alert>
      )}
      {plan.loadLabel && <LoadSetting plan={plan} control={control} label={plan.loadLabel} />}
      <BandSetting plan={plan} control={control} />
      <AimSetting plan={plan} control={control} />
      <Link href={`/setup/${plan.item.id}`} className={styles.toPlates}>
        {control.live.setup ? WORDS.changeSetUp : WORDS.setUpNotSavedYet}
      </Link>
    </section>
  );
}
