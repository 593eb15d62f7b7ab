import 'server-only';
import { z } from 'zod';
import { apiDelivery, apiKept, apiKit, apiNewKit, apiKitPiece } from '@/contract/api';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import type { KitPiece } from '@/contract/views/kit';
import { findKit } from '@/data/queries/kit';
import { good, NOT_THERE, once, operation, saved, type Operation } from './api-operation';
import { savePieceForm } from './kit';
import { recordEvents } from './record-events';
import type { UseCase } from './use-case';

/** A piece of kit as programs see it. */
export const toKitPiece = ({ id, gymId, kind, name, outOfOrder, spec, asUsual }: KitPiece): z.input<typeof apiKit> => ({
  ...{ id, gymId, kind, name, isOutOfOrder: outOfOrder, isMeasured: asUsual !== true },
  spec: { ...spec } as Record<string, unknown>,
});

/** A piece by its id, as programs see it. */
const kitOf =
  ({ db }: UseCase) =>
  (id: string) => {
    const piece = findKit(db, id);
    return piece && toKitPiece(piece);
  };

const toForm = ({ isOutOfOrder, ...piece }: z.output<typeof apiKitPiece>) => ({
  ...piece,
  outOfOrder: isOutOfOrder ? 'yes' : 'no',
});

/** What programs write of kit and of what happened on the floor. */
export const WRITES: readonly Operation[] = [
  operation({
    ...{ id: 'addKit', method: 'post', path: '/kit', scope: 'kit.write' },
    body: apiNewKit,
    reply: apiKit,
    does: (uc, { body: { gymId, ...piece }, key }) =>
      once(key, kitOf(uc), () => savePieceForm(uc, gymId, null, toForm(piece), null, key)),
  }),
  operation({
    ...{ id: 'changeKit', method: 'put', path: '/kit/{pieceId}', scope: 'kit.write' },
    params: z.object({ pieceId: z.string() }),
    body: apiKitPiece,
    reply: apiKit,
    does: (uc, { params: { pieceId }, body }) => {
      if (!findKit(uc.db, pieceId)) return NOT_THERE;
      return saved(savePieceForm(uc, null, pieceId, toForm(body)), kitOf(uc));
    },
  }),
  operation({
    ...{ id: 'recordEvents', method: 'post', path: '/events', scope: 'records.write' },
    body: apiDelivery,
    reply: apiKept,
    does: (uc, { body }) => {
      const events = body.events.map((e) => ({ version: FLOOR_EVENT_VERSION, ...e, actorId: uc.actor.id }));
      const done = recordEvents(uc, { events });
      if (!done.ok) return { ok: false, status: 422, issues: done.issues };
      return good({ kept: [...done.reply.kept], refused: done.reply.refused.map((r) => ({ ...r })) });
    },
  }),
];
