import { useRef, useState } from 'react';
import type { LookedView, LookLine } from '@/contract/views/records';
import { RECORDS_FILE as WORDS } from '@/messages/records-file';

/** Lines of a body as they come; a piece of one waits for its end. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<LookLine> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    for (const line of lines) yield JSON.parse(line) as LookLine;
  }
}

/** A file that is looked at at the server: how far it is, and what it would do. `ask` sends for it. */
export function useLook() {
  const stop = useRef<AbortController | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [looked, setLooked] = useState<LookedView | null>(null);
  const [said, setSaid] = useState('');
  const look = async (ask: (signal: AbortSignal) => Promise<Response>): Promise<void> => {
    const asked = new AbortController();
    stop.current = asked;
    setLooked(null);
    setSaid('');
    setShare(0);
    try {
      const response = await ask(asked.signal);
      if (!response.ok || !response.body) throw new Error(String(response.status));
      let isOver = false;
      for await (const line of linesOf(response.body)) {
        if ('share' in line) setShare(line.share);
        else if ('trouble' in line) setSaid(line.trouble);
        else setLooked(line.looked);
        isOver ||= !('share' in line);
      }
      if (!isOver) throw new Error('cut off');
    } catch {
      setSaid(asked.signal.aborted ? WORDS.stopped : WORDS.unsent);
    }
    setShare(null);
  };
  return { share, looked, said, look, cancel: () => stop.current?.abort(), done: () => setLooked(null) };
}
