import { practiceEffects } from '@/core/book/practice-effect';
import type { PracticeAsked, PracticeReply } from './practice-protocol';

self.addEventListener('message', (e: MessageEvent<PracticeAsked>) => {
  const { no, question, practices } = e.data;
  const reply: PracticeReply = { no, effects: practiceEffects(question, practices) };
  self.postMessage(reply);
});
