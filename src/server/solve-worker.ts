import { parentPort } from 'node:worker_threads';
import { solveText } from '@/solver/solve-text';

// A thread of its own (scripts/build-door.mjs bundles it): while it solves, taps are taken.
parentPort?.on('message', ({ no, text }: { readonly no: number; readonly text: string }) => {
  parentPort?.postMessage({ no, ...solveText(text) });
});
