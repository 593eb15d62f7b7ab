import 'server-only';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { solveText } from '@/solver/solve-text';
import { SOLVER_BUSY } from '@/messages/web';

interface Reply {
  readonly status: number;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** Calls that wait for the solver; more are told to come back. */
const MOST_WAITING = 20;
/** A call that takes longer than this is ended, milliseconds. */
const PATIENCE_MS = 60_000;
const NOT_NOW: Reply = {
  status: 503,
  bytes: new TextEncoder().encode(JSON.stringify({ issues: [{ path: '', message: SOLVER_BUSY }] })),
};

/** A thread of its own that answers cases one call after the other, so that a tap never waits for a solve. */
class SolverThread {
  private worker: Worker | null = null;
  private waiting = new Map<number, (reply: Reply) => void>();
  private last: Promise<unknown> = Promise.resolve();
  private no = 0;
  private queued = 0;

  constructor(private readonly script: string) {}

  /** The text of a body to the bytes of an answer. */
  solve(text: string): Promise<Reply> {
    if (this.queued >= MOST_WAITING) return Promise.resolve(NOT_NOW);
    this.queued++;
    const turn = this.last.then(() => this.ask(text));
    this.last = turn.finally(() => this.queued--);
    return turn;
  }

  private ask(text: string): Promise<Reply> {
    const worker = (this.worker ??= this.begin());
    const no = ++this.no;
    return new Promise((resolve) => {
      // A thread that hangs is ended; the next call begins another.
      const timer = setTimeout(() => void worker.terminate(), PATIENCE_MS);
      this.waiting.set(no, (reply) => {
        clearTimeout(timer);
        this.waiting.delete(no);
        resolve(reply);
      });
      worker.postMessage({ no, text });
    });
  }

  private begin(): Worker {
    const worker = new Worker(this.script);
    worker.unref();
    worker.on('message', ({ no, ...reply }: Reply & { no: number }) => this.waiting.get(no)?.(reply));
    worker.on('error', () => undefined);
    worker.on('exit', () => {
      if (this.worker === worker) this.worker = null;
      for (const answer of [...this.waiting.values()]) answer(NOT_NOW);
    });
    return worker;
  }
}

const shared = globalThis as typeof globalThis & { jorvixSolver?: SolverThread };

/** On this thread, where nothing was built. */
function solveHere(text: string): Reply {
  const { status, text: answer } = solveText(text);
  return { status, bytes: new TextEncoder().encode(answer) };
}

/** Answer cases on the solver's own thread: a body's text to the bytes of an answer. */
export function solveApart(text: string): Promise<Reply> {
  const script = join(process.cwd(), '.next/solve-worker.mjs');
  if (!existsSync(script)) return Promise.resolve(solveHere(text));
  return (shared.jorvixSolver ??= new SolverThread(script)).solve(text);
}
