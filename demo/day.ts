import { sharedRecords } from '@/server/records-file';
import { loadEightWeeks } from './eight-weeks';
import { loadDemoWorld } from './world';

const HOUR_MS = 3_600_000;

/** A demo that is left running has its sessions on the next day as well. Gives what ends it. */
export function keepDemoAlive(onBug: (error: unknown) => void): () => void {
  const hourly = setInterval(() => {
    try {
      loadDemoWorld(sharedRecords(), Date.now());
      loadEightWeeks(sharedRecords(), Date.now());
    } catch (error) {
      onBug(error);
    }
  }, HOUR_MS);
  return () => clearInterval(hourly);
}
