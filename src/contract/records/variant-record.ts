import type { EntryOptions } from '@/core/book/entry-options';
import { keptSomeOptionsSchema, renameSchools } from './options-record';
import { readRecord, type ReadRecord } from './record';

const UPCASTS = [renameSchools] as const;

/** Version of a variant's choices that this program writes. */
export const VARIANT_OPTIONS_VERSION = UPCASTS.length + 1;

/** Read the choices of a trainer's own variant, as they were kept. */
export const readVariantOptions = (version: number, options: unknown): ReadRecord<Partial<EntryOptions>> =>
  readRecord(keptSomeOptionsSchema, UPCASTS, version, options);
