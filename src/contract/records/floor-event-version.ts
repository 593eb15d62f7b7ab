import type { FloorEvent } from '@/core/record/floor-event';

/** Versions of events that were written before and are still read. */
export const OLDER_EVENT_VERSIONS = [1] as const;
/** Version of the events that this program writes. */
export const FLOOR_EVENT_VERSION = OLDER_EVENT_VERSIONS.length + 1;

/** An event as it crosses from a device or is kept there: with the version that wrote it. */
export type WrittenEvent = FloorEvent & { readonly version: number };
