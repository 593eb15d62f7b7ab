import { parentPort, workerData } from 'node:worker_threads';
import { backUp } from '@/data/backup';
import type { BackupOrder } from './backup-apart';

/** Rest after each megabyte, milliseconds: a disk that is given everything at once keeps taps waiting for it. */
const REST_MS = 20;
const clock = new Int32Array(new SharedArrayBuffer(4));

// A thread of its own (scripts/build-door.mjs bundles it): copying and looking over five years takes a minute.
const { file, folder, nowMs } = workerData as BackupOrder;
parentPort?.postMessage(await backUp(file, folder, nowMs, () => void Atomics.wait(clock, 0, 0, REST_MS)));
