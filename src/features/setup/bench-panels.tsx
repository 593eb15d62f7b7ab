'use client';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { memo, useMemo, type ComponentProps } from 'react';
import { peakTensionN } from '@/core/mechanics/fast-lift';
import { checkLine } from '@/core/setup/line-check';
import { parseTempo } from '@/core/tempo/tempo';
import { GRAVITY_MS2 } from '@/core/units/mass';

import type { Practice } from '@/core/book/practice';
import type { Question } from '@/core/book/question';
import type { SetupBenchView } from '@/contract/views/setup';
import { CardLink } from './card-link';
import { Cautions } from './cautions';
import { FaultPanel, geometricFaults } from './fault-panel';
import { LineCheckPanel } from './line-check-panel';
import { OptionsBar } from './options-bar';
import { ComparisonPanel } from './comparison-panel';
import { Sections } from './sections';
import styles from './setup.module.css';
import { StanceDropsPanel } from './stance-drops-panel';
import type { Beside } from './use-beside';
import type { BenchSetup } from './use-setup';
import { VerdictLines, type FastLift } from './verdict-lines';
import { WORDS } from '@/messages/screens/setup';

interface Props {
  readonly context: SetupBenchView;
  readonly question: Question;
  readonly setup: BenchSetup;
  readonly beside: Beside;
  readonly practices: readonly Practice[];
  readonly now: number;
}

/** Pull of the cable at the planned tempo beside that of holding it still; null where nothing is pulled. */
function useFastLift({ problem, shown }: BenchSetup, written: string): FastLift | null {
  const { metrics } = shown;
  return useMemo(() => {
    const tempo = parseTempo(written);
    if (!tempo || problem.tensionN <= 0) return null;
    const pathM = metrics.maxTravelM - metrics.minClearanceM;
    return {
      timeS: tempo.lifting,
      peakN: peakTensionN(problem.tensionN / GRAVITY_MS2, pathM, tempo.lifting),
      restN: problem.tensionN,
    };
  }, [written, problem.tensionN, metrics]);
}

type Section = ComponentProps<typeof Sections>['sections'][number];

/** What is laid beside this set-up: another one, and a fault with its cost. */
function besideSections({ setup, beside }: Props): readonly Section[] {
  const { problem, shown, entry } = setup;
  return [
    [
      'compare',
      beside.comparisons.length === 0 ? null : (
        <ComparisonPanel
          comparisons={beside.comparisons}
          chosen={beside.key}
          comparison={beside.comparison}
          own={beside.comparison && shown.metrics}
          onChoose={beside.setKey}
        />
      ),
    ],
    [
      'fault',
      geometricFaults(entry).length === 0 ? null : (
        <FaultPanel
          entry={entry}
          fault={beside.fault}
          cost={beside.cost}
          needM={problem.input.column.clearanceM}
          onFault={beside.setFault}
        />
      ),
    ],
  ];
}

/** Why, and what else: everything below the plates. It follows the finger when there is time. */
export const BenchPanels = memo(function BenchPanels(props: Props) {
  const { context, question, setup, now, practices } = props;
  const { client, item } = context;
  const { problem, placement, shown, entry, dispatch } = setup;
  const fast = useFastLift(setup, item.tempo);
  const sections: readonly Section[] = [
    ['why', <VerdictLines key="why" setup={setup} client={client} fast={fast} />],
    [
      'choices',
      <OptionsBar
        key="choices"
        context={context}
        question={question}
        options={setup.state.options}
        side={setup.state.side}
        dispatch={dispatch}
        practices={practices}
      />,
    ],
    ...besideSections(props),
    [
      'drops',
      <StanceDropsPanel
        key="drops"
        problem={problem}
        placement={placement}
        onPlace={(standX) => dispatch({ type: 'placed', placement: { ...placement, standX } })}
      />,
    ],
    [
      'check',
      <LineCheckPanel
        key="check"
        simulated={context.simulatedTilt}
        check={(deg) => checkLine(problem, placement, shown.worse, now, deg)}
        where={now === LAST_SAMPLE ? WORDS.handsAtTheFinish : WORDS.atOfTheRep(Math.round((now / LAST_SAMPLE) * 100))}
        hole={placement.hole}
        shoulderMeasured={problem.body.height.shoulderHeight.source === 'measured'}
      />,
    ],
  ];
  return (
    <div className={styles.sections}>
      <Cautions entry={entry} />
      {/* Where nothing works here, another column is one of the choices. */}
      <Sections sections={sections} first={setup.solution.feasible ? null : 'choices'} />
      <CardLink itemId={item.id} />
    </div>
  );
});
