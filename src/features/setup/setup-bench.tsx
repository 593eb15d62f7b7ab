'use client';
import { useElementSize } from '@mantine/hooks';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Placement } from '@/core/setup/setup-problem';
import { defaultOptions } from '@/core/movement/movement';
import { peakTensionN } from '@/core/mechanics/fast-lift';
import { parseTempo } from '@/core/tempo/tempo';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { windowFor } from '@/drawing/setup-scene';
import { elevationView, MARGIN, planView } from '@/drawing/view';
import { useFloorLog } from '@/offline/use-floor-log';
import { CAUTION } from '@/messages/cautions';
import { MOVEMENT_NAME } from '@/messages/movements';
import { NOTE_TEXT } from '@/messages/notes';
import { replacedText } from '@/messages/replaced';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import { Elevation } from './elevation';
import { Plan } from './plan';
import { ArmStrip } from './arm-strip';
import { withMove, type Move } from './move-placement';
import { OptionsBar } from './options-bar';
import { SettingPlates } from './setting-plates';
import { VerdictLines } from './verdict-lines';
import { SidePanel } from './side-panel';
import { samePlacement } from './setup-machine';
import type { BenchContext } from './bench-context';
import { useSetup } from './use-setup';
import type { toSetupInput } from '@/solver/to-setup-input';
import styles from './setup.module.css';

const ResistanceChart = dynamic(() => import('@/charts/resistance-chart'), { ssr: false, loading: () => <div style={{ height: CHART_PX }} /> });
const CHART_PX = 150;
/** The client's name stands above the elevation. */
const TITLE_PX = 46;
const FIRST_WIDTH_PX = 820;
const FIRST_HEIGHT_PX = 440;

/** The set-up bench: the drawing is the control, the plates are the answer. */
export function SetupBench({ context, input }: { readonly context: BenchContext; readonly input: ReturnType<typeof toSetupInput> }) {
  const { client, item, station } = context;
  const { log, append, trouble } = useFloorLog({ clientId: client.id, itemId: item.id, movement: item.movement }, context.events);
  const savedHere = log.setups.findLast((s) => s.itemId === item.id && s.stationId === station.id) ?? null;
  const [initial] = useState(() => ({
    options: savedHere?.options ?? { ...defaultOptions(input.movement), ...input.options },
    side: savedHere?.side ?? input.side,
    moved: savedHere?.placement ?? null,
    saved: savedHere?.placement ?? null,
  }));
  const setup = useSetup(input, client, initial);
  const { dispatch, problem, placement, shown, base, off, solution } = setup;
  const { ref, width, height } = useElementSize();
  const window3 = useMemo(() => windowFor(problem), [problem]);
  const { elevation, plan, chartWidth } = useMemo(() => {
    const w = width || FIRST_WIDTH_PX;
    const h = height || FIRST_HEIGHT_PX;
    const edges = MARGIN.left + MARGIN.right;
    const wide = w > 640;
    const metres = window3.maxX - window3.minX;
    const byWidth = (w / (wide ? 2 : 1) - edges - (wide ? 8 : 0)) / metres;
    const rulers = MARGIN.top + MARGIN.bottom;
    const byHeight = Math.min((h - rulers - TITLE_PX) / window3.maxY, (h - rulers) / (window3.maxZ - window3.minZ));
    const scale = wide ? Math.min(byWidth, Math.max(byHeight, 90)) : byWidth;
    return { elevation: elevationView(window3, scale), plan: planView(window3, scale), chartWidth: w };
  }, [width, height, window3]);
  const onMove = (move: Move): void => {
    const next = withMove(placement, move, problem.input.column, problem.input.room);
    if (!samePlacement(next, placement)) dispatch({ type: 'placed', placement: next });
  };
  const lastUsed = input.lastUsed;
  const other = useMemo(() => {
    const compare = (name: string, p: Placement) => ({ name, resistanceNm: evaluatePlacement(problem, p).bySide[shown.worse]!.samples.resistanceNm });
    if (off) return compare(`solved: hole ${base.placement.hole}`, base.placement);
    if (lastUsed && !samePlacement(lastUsed, placement)) return compare(`last used: hole ${lastUsed.hole}`, lastUsed);
    return null;
  }, [problem, off, base, lastUsed, placement, shown.worse]);
  const main = useMemo(() => ({ name: 'now', resistanceNm: shown.bySide[shown.worse]!.samples.resistanceNm }), [shown]);
  const { metrics } = shown;
  const save = async (): Promise<void> => {
    const event = await append({
      kind: 'setup-saved', placement, solved: solution.feasible ? base.placement : null, off: off || shown.violations.length > 0, stationId: station.id, attachmentId: item.attachmentId,
      side: setup.state.side, options: setup.state.options,
    });
    if (event) dispatch({ type: 'saved', placement });
  };
  const perSide = item.loadG / 1000;
  const fast = useMemo(() => {
    const tempo = parseTempo(item.tempo);
    if (!tempo || problem.tensionN <= 0) return null;
    const pathM = metrics.maxTravelM - metrics.minClearanceM;
    return { timeS: tempo.lifting, peakN: peakTensionN(problem.tensionN / GRAVITY_MS2, pathM, tempo.lifting), restN: problem.tensionN };
  }, [item.tempo, problem.tensionN, metrics]);
  return (
    <div className={styles.bench}>
      <section className={styles.sheet} aria-label="Set-up drawing">
        <h1 className={styles.who}>
          {client.name} <span>{MOVEMENT_NAME[item.movement]}</span>
        </h1>
        <div ref={ref} className={styles.views}>
          <Elevation setup={setup} view={elevation} window={window3} onMove={onMove} />
          <Plan setup={setup} view={plan} window={window3} onMove={onMove} />
        </div>
        <div className={styles.curve}>
          <h2 className={styles.curveTitle}>
            Resistance at the shoulder{problem.sides.length === 2 ? ', each side' : ''}, {perSide} kg on the stack
            <span>hatched: rest zone{metrics.rightAngleAt !== null && '; dotted: pull at a right angle'}</span>
          </h2>
          <ResistanceChart
            main={main}
            other={other}
            peakAt={metrics.peakAt}
            peakNm={metrics.peakResistanceNm}
            rightAngleAt={metrics.rightAngleAt}
            height={CHART_PX}
            label={`Resistance over the rep: peak ${Math.round(metrics.peakResistanceNm)} newton metres at ${Math.round(metrics.peakAt * 100)} percent of the range, rest zone ${Math.round(metrics.restShare * 100)} percent`}
          />
          <ArmStrip setup={setup} width={chartWidth} />
        </div>
      </section>
      <aside className={styles.answer} aria-label="Answer">
        <SettingPlates context={context} setup={setup} onMove={onMove} />
        <ScreeningWarning screening={context.screening} clientId={client.id} />
        {context.replaced.map((r) => (
          <p key={r.planned} className={styles.blocked}>
            {replacedText(r)}
          </p>
        ))}
        {context.mostLoadKg !== null && (
          <p className={styles.atPlates}>
            <b>Clinician’s limit:</b> {context.mostLoadKg} kg in the hand.
          </p>
        )}
        <p className={styles.atPlates}>{input.movement.cautions.filter((c) => ['hole', 'handle', 'mark'].includes(CAUTION[c].at)).map((c) => CAUTION[c].text).join(' ')}</p>
        <SidePanel context={context} setup={setup} onSave={save} trouble={trouble} />
        {client.notes.length > 0 && (
          <ul className={styles.notes} aria-label="Notes on this client">
            {client.notes.map((n) => (
              <li key={n}>
                <b>{NOTE_TEXT[n].name}:</b> {NOTE_TEXT[n].does}
              </li>
            ))}
          </ul>
        )}
        <VerdictLines setup={setup} clientId={client.id} fast={fast} />
        <OptionsBar context={context} setup={setup} />
      </aside>
    </div>
  );
}
