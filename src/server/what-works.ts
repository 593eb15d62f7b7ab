import 'server-only';
import { gymEffects } from '@/core/fault/gym-effects';
import { DAY_MS } from '@/core/body/clinician-limit';
import type { WhatWorksView } from '@/contract/views/ledger';
import { countCorrections } from '@/data/queries/read-folds';
import { listGyms } from '@/data/queries/gyms';
import { effectText } from '@/messages/faults';
import type { UseCase } from './use-case';

/** How far back it is looked: half a year, so that a gym that learns is told of what it does now (our judgement). */
const DAYS = 182;

/** Which corrections work for which fault in each gym, by counts alone: nobody is named. */
export function loadWhatWorks({ db, nowMs }: UseCase): WhatWorksView {
  return {
    gyms: listGyms(db).map(({ id, name }) => ({
      id,
      name,
      faults: gymEffects(countCorrections(db, id, nowMs - DAYS * DAY_MS)).map(({ fault, effects }) => ({
        fault,
        effects: effects.map((e) => ({ code: e.correction, says: effectText(e), drawnIn: e.drawnIn, ...e.works })),
      })),
    })),
  };
}
