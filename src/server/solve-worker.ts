import { parentPort } from 'node:worker_threads';
import { solveText } from '@/solver/solve-text';

// A thread of its own (scripts/build-door.mjs bundles it): while it solves, taps are taken.
parentPort?.on('message', ({ no, text }: { readonly no: number; readonly text: string }) => {
  const { status, text: answer } = solveText(text);
  // Handed over and not copied: an answer of many cases is megabytes long.
  const bytes = new TextEncoder().encode(answer);
  parentPort?.postMessage({ no, status, bytes }, [bytes.buffer]);
});
