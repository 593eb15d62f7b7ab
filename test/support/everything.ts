import { ATTACHMENT_KINDS, USUAL_ATTACHMENT } from '@/core/kit/attachment';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import { MACHINE_KINDS } from '@/core/kit/machine';
import type { ChooseInput } from '@/core/book/choose';
import { WHOLE_RANGE } from '@/core/book/pose-entry';
import { USUAL_KIT } from '@/core/book/station-kit';
import { bodyOf, COLUMN, ROOM } from './fixtures';

/** A client of middle height whom nothing limits, in a gym that has everything. */
export const EVERYTHING: ChooseInput = {
  body: bodyOf(1.75),
  range: WHOLE_RANGE,
  kit: USUAL_KIT,
  loadKg: 20,
  notes: [],
  gym: {
    columns: [{ id: 'c', name: 'C', column: COLUMN, room: ROOM }],
    attachments: ATTACHMENT_KINDS.map((kind) => ({ kind, ...USUAL_ATTACHMENT[kind] })),
    machines: MACHINE_KINDS,
    kinds: KIT_KINDS,
  },
};
