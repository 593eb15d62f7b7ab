import { findProblem } from '@/core/book/build-problem';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { findLeastChange } from '@/core/setup/least-change';
import { withFixed } from '@/core/setup/setup-problem';
import type { LeastChangeQuestion, LeastChangeReply } from './least-change-protocol';

self.addEventListener('message', (e: MessageEvent<LeastChangeQuestion>) => {
  const { no, input, held, found, best } = e.data;
  const posed = findProblem(input);
  const problem = posed && (Object.keys(held).length > 0 ? withFixed(posed, held) : posed);
  const change = problem && findLeastChange(problem, found, evaluatePlacement(problem, best));
  const reply: LeastChangeReply = {
    no,
    change: change && { changes: change.changes, placement: change.result.placement },
  };
  self.postMessage(reply);
});
