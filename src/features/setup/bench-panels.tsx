'use client';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { memo, useMemo } from 'react';
import { peakTensionN } from '@/core/mechanics/fast-lift';
import { checkLine } from '@/core/setup/line-check';
import { parseTempo } from '@/core/tempo/tempo';
import { GRAVITY_MS2 } from '@/core/units/mass';

import type { Question } from '@/core/book/question';
import type { SetupBenchView } from '@/contract/views/setup';
import { CardLink } from './card-link';
import { FaultPanel } from './fault-panel';
import { LineCheckPanel } from './line-check-panel';
import { OptionsBar } from './options-bar';
import { ComparisonPanel } from './comparison-panel';
import { StanceDropsPanel } from './stance-drops-panel';
import type { Beside } from './use-beside';
import type { BenchSetup } from './use-setup';
import { VerdictLines } from './verdict-lines';
import { WORDS } from '@/messages/screens/setup';

interface Props {
  readonly context: SetupBenchView;
  readonly question: Question;
  readonly setup: BenchSetup;
  readonly beside: Beside;
  readonly now: number;
}

/** Why, and what else: everything below the plates. It follows the finger when there is time. */
export const BenchPanels = memo(function BenchPanels({ context, question, setup, beside, now }: Props) {
  const { client, item } = context;
  const { problem, placement, shown, entry, dispatch } = setup;
  const { metrics } = shown;
  const fast = useMemo(() => {
    const tempo = parseTempo(item.tempo);
    if (!tempo || problem.tensionN <= 0) return null;
    const pathM = metrics.maxTravelM - metrics.minClearanceM;
    return {
      timeS: tempo.lifting,
      peakN: peakTensionN(problem.tensionN / GRAVITY_MS2, pathM, tempo.lifting),
      restN: problem.tensionN,
    };
  }, [item.tempo, problem.tensionN, metrics]);
  return (
    <>
      <VerdictLines setup={setup} clientId={client.id} fast={fast} />
      <ComparisonPanel
        comparisons={beside.comparisons}
        chosen={beside.key}
        comparison={beside.comparison}
        own={beside.comparison && metrics}
        onChoose={beside.setKey}
      />
      <FaultPanel
        entry={entry}
        fault={beside.fault}
        cost={beside.cost}
        needM={problem.input.column.clearanceM}
        onFault={beside.setFault}
      />
      <StanceDropsPanel
        problem={problem}
        placement={placement}
        onPlace={(standX) => dispatch({ type: 'placed', placement: { ...placement, standX } })}
      />
      <LineCheckPanel
        simulated={context.simulatedTilt}
        check={(deg) => checkLine(problem, placement, shown.worse, now, deg)}
        where={now === LAST_SAMPLE ? WORDS.handsAtTheFinish : WORDS.atOfTheRep(Math.round((now / LAST_SAMPLE) * 100))}
        hole={placement.hole}
        shoulderMeasured={problem.body.height.shoulderHeight.source === 'measured'}
      />
      <CardLink itemId={item.id} />
      <OptionsBar
        context={context}
        question={question}
        options={setup.state.options}
        side={setup.state.side}
        dispatch={dispatch}
        finishShare={beside.finishShare}
      />
    </>
  );
});
