'use client';
import { useEffect, useRef, useState } from 'react';

interface Task<Asked, Reply, State> {
  /** Makes the worker; called again after one that failed. */
  readonly make: () => Worker;
  /** What is asked of it, without the number that its replies carry back; null asks nothing. */
  readonly question: Asked | null;
  readonly start: State;
  /** What stands while a new question is worked on, from what stood before. */
  readonly onAsk: (before: State) => State;
  readonly onReply: (before: State, reply: Reply) => State;
}

interface Worked<State> {
  readonly state: State;
  /** The worker could not be started, or broke: said beside what it would have shown. */
  readonly failed: boolean;
}

/**
 * Ask a worker off the page's thread. Each question has a number and only replies to the newest count; a question that
 * is asked after the worker failed goes to a new one.
 */
export function useWorker<Asked extends object, Reply extends { readonly no: number }, State>(
  task: Task<Asked, Reply, State>,
): Worked<State> {
  const { question } = task;
  const worker = useRef<Worker | null>(null);
  const no = useRef(0);
  const tasks = useRef(task);
  const [worked, setWorked] = useState<Worked<State>>({ state: task.start, failed: false });
  useEffect(() => {
    tasks.current = task;
  });
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    no.current += 1;
    setWorked((w) => ({ state: tasks.current.onAsk(w.state), failed: false }));
    if (!question) return;
    const fail = (): void => {
      worker.current?.terminate();
      worker.current = null;
      setWorked((w) => ({ ...w, failed: true }));
    };
    try {
      worker.current ??= start(tasks.current.make(), fail, (reply: Reply) => {
        if (reply.no === no.current) setWorked((w) => ({ ...w, state: tasks.current.onReply(w.state, reply) }));
      });
      worker.current.postMessage({ ...question, no: no.current });
    } catch {
      fail();
    }
  }, [question]);
  return worked;
}

function start<Reply>(made: Worker, onFail: () => void, onReply: (reply: Reply) => void): Worker {
  made.addEventListener('message', (e: MessageEvent<Reply>) => onReply(e.data));
  made.addEventListener('error', onFail);
  made.addEventListener('messageerror', onFail);
  return made;
}
