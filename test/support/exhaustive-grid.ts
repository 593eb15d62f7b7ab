import { holeHeightM } from '@/core/kit/column';
import { totalCost } from '@/core/setup/cost';
import type { Placement, SearchProblem } from '@/core/setup/setup-problem';

/** The slow, sure way: every hole, every `stepM` of floor, every `stepDeg` of facing. */
export function searchExhaustively(
  problem: SearchProblem,
  stepM: number,
  sidewaysM: number,
  stepDeg: number,
  turnDeg: number,
): { readonly cost: number; readonly placement: Placement } {
  const { room, column } = problem.input;
  const { bounds } = problem;
  let best = { cost: Infinity, placement: { hole: 1, standX: 0, standZ: 0, yawDeg: 0 } };
  for (let hole = 1; hole <= column.holes; hole++) {
    const heightM = holeHeightM(column, hole);
    if (heightM < bounds.heightM[0] || heightM > bounds.heightM[1]) continue;
    for (let x = room.minDistanceM; x <= room.maxDistanceM + 1e-9; x += stepM) {
      for (let z = bounds.standZ - sidewaysM; z <= bounds.standZ + sidewaysM + 1e-9; z += stepM) {
        for (let yawDeg = bounds.yawDeg - turnDeg; yawDeg <= bounds.yawDeg + turnDeg; yawDeg += stepDeg) {
          const placement = { hole, standX: x, standZ: z, yawDeg };
          const cost = totalCost(problem, placement);
          if (cost < best.cost) best = { cost, placement };
        }
      }
    }
  }
  return best;
}
