import type { z } from 'zod';
import { KIT_SPEC, type KitSpec } from '../kit-spec';
import type { KitKind } from '@/core/kit/kit-kind';
import { readRecord, type ReadRecord } from './record';

/** Version of the specs that this program writes. */
export const KIT_SPEC_VERSION = 1;

/** Read what a kind of kit has of its own, as it was kept. */
export const readKitSpec = <K extends KitKind>(kind: K, version: number, spec: unknown): ReadRecord<KitSpec<K>> =>
  readRecord(KIT_SPEC[kind] as unknown as z.ZodType<KitSpec<K>>, [], version, spec);
