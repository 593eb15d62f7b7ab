import 'server-only';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { backUp } from '@/data/backup';

/** Which file is copied where, and what time its name tells. */
export interface BackupOrder {
  readonly file: string;
  readonly folder: string;
  readonly nowMs: number;
}

/** A backup made on a thread of its own; on this one where nothing was built. Rejects as `backUp` does. */
export function backUpApart(order: BackupOrder): Promise<string> {
  const script = join(process.cwd(), '.next/backup-worker.mjs');
  return existsSync(script) ? onThread(script, order) : backUp(order.file, order.folder, order.nowMs);
}

const onThread = (script: string, order: BackupOrder): Promise<string> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(script, { workerData: order });
    worker.unref();
    worker.once('message', resolve);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('The backup ended before it was whole.')));
  });
