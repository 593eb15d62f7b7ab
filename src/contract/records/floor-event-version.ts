import type { FloorEvent } from '@/core/record/floor-event';

/** Version of the events that this program writes. */
export const FLOOR_EVENT_VERSION = 2;

/** An event as it crosses from a device or is kept there: with the version that wrote it. */
export type WrittenEvent = FloorEvent & { readonly version: number };
