import { NO_LOAD_LIMITS } from '@/core/body/loaded-part';
import type { SetPlan } from '@/features/set/live-set-view';

/** Three sets of ten in a level fly, on a stack of four steps, with nothing that stands in the way. */
export const SET_PLAN: SetPlan = {
  item: {
    id: 'i',
    sessionId: 'day',
    position: 0,
    movement: 'cable-fly-level',
    variantId: null,
    side: 'both',
    stationId: 's',
    bandId: null,
    attachmentId: 'a',
    sets: 3,
    reps: 10,
    tempo: '3-1-2-1',
    loadG: 10_000,
    aims: null,
    pairId: null,
    isPinned: false,
    skipped: null,
  },
  stackG: [5000, 7500, 10_000, 12_500],
  bands: [],
  drops: { stances: [], stepIns: [], says: [] },
  rep: { stackTravelM: 0.6, strongerHalf: 'first', loaded: null, shares: null, jointDegs: null },
  limits: { limitsKg: NO_LOAD_LIMITS, mostLoadG: null, missing: [] },
  blocked: null,
};
