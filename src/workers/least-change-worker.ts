import { poseQuestion } from '@/core/book/pose-question';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { findLeastChange } from '@/core/setup/least-change';
import { withFixed } from '@/core/setup/setup-problem';
import type { LeastChangeQuestion, LeastChangeReply } from './least-change-protocol';

self.addEventListener('message', (e: MessageEvent<LeastChangeQuestion>) => {
  const { no, question, held, found, best } = e.data;
  const search = poseQuestion(question)?.search ?? null;
  const problem = search && (Object.keys(held).length > 0 ? withFixed(search, held) : search);
  const change = problem && findLeastChange(problem, found, evaluatePlacement(problem, best));
  const reply: LeastChangeReply = {
    no,
    change: change && { changes: change.changes, placement: change.result.placement },
  };
  self.postMessage(reply);
});
