import { parentPort, workerData } from 'node:worker_threads';
import { doRecords, type RecordsOrder } from './records-apart';

// A thread of its own (scripts/build-door.mjs bundles it): a large file is read for half a minute.
await doRecords(workerData as RecordsOrder, (reply) => parentPort?.postMessage(reply));
