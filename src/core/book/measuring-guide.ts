import { buildBody, sizeOf, type BodyInput } from '@/core/body/body-model';
import { MEASURE_NAMES, type MeasureName } from '@/core/body/segment-ratios';
import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement } from '@/core/setup/setup-problem';
import { ESTIMATE_ERROR_M, findSensitivity } from './sensitivity';
import { poseKnown } from './pose-question';
import { searchOf } from './posed-question';
import { stanceOf } from './stand-up';
import type { Question } from './question';

/** What measuring one landmark would settle in a client's set-ups. */
export interface MeasureWorth {
  readonly measure: MeasureName;
  /** Most that 2 cm of error takes the line off over all set-ups, degrees. */
  readonly lineDeg: number;
  /** Most holes that 2 cm would move a solved set-up by; null when it could leave the column's reach. */
  readonly holes: number | null;
}

/** Below this an estimate may be left as it is: a tenth of a degree is not seen. */
const WORTH_DEG = 0.05;

/**
 * Estimated measures in the order that saves most error in the set-ups given (each with the placement it stands at),
 * and of those that change nothing none. Each is made 2 cm larger and smaller; the line is looked at where the client
 * stands.
 */
export function rankMeasures(
  bodyInput: BodyInput,
  setups: readonly { readonly question: Question; readonly at: Placement }[],
): MeasureWorth[] {
  const body = buildBody(bodyInput);
  // What is measured does not change how a load is stood.
  const stood = setups.map((s) => ({ ...s, stance: stanceOf(poseKnown({ ...s.question, body }).entry) }));
  return MEASURE_NAMES.filter((n) => sizeOf(body, n).source !== 'measured')
    .map((measure): MeasureWorth => {
      let lineDeg = 0;
      let holes: number | null = 0;
      for (const { question, at, stance } of stood) {
        const off = (deltaM: number): number => {
          const changed =
            deltaM === 0
              ? body
              : buildBody({
                  ...bodyInput,
                  measuredM: { ...bodyInput.measuredM, [measure]: sizeOf(body, measure).m + deltaM },
                });
          return evaluatePlacement(searchOf(poseKnown({ ...question, body: changed }, stance)), at).metrics
            .offPlaneRmsDeg;
        };
        const change = Math.max(off(ESTIMATE_ERROR_M), off(-ESTIMATE_ERROR_M)) - off(0);
        lineDeg = Math.max(lineDeg, change);
        if (change < WORTH_DEG || holes === null) continue;
        const s = findSensitivity({ ...question, body, lastUsed: null }, bodyInput, measure, at, stance);
        holes = s.lower && s.higher ? Math.max(holes, Math.abs(s.lower.hole - s.higher.hole)) : null;
      }
      return { measure, lineDeg, holes };
    })
    .filter((w) => w.lineDeg >= WORTH_DEG)
    .sort((a, b) => b.lineDeg - a.lineDeg);
}
