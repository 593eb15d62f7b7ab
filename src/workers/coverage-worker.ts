import { coverWeek } from '@/core/week/week-coverage';
import type { CoverageQuestion, CoverageReply } from './coverage-protocol';

const post = (reply: CoverageReply): void => self.postMessage(reply);

self.addEventListener('message', (e: MessageEvent<CoverageQuestion>) => {
  const { no, used, input } = e.data;
  const coverage = coverWeek(used, input, (done, of) => post({ no, kind: 'progress', done, of }));
  post({ no, kind: 'done', coverage });
});
