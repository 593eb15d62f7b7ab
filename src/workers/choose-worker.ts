import { chooseMovements } from '@/core/book/choose';
import type { ChooseQuestion, ChooseReply } from './choose-protocol';

const post = (reply: ChooseReply): void => self.postMessage(reply);

self.addEventListener('message', (e: MessageEvent<ChooseQuestion>) => {
  const { no, region, input } = e.data;
  const choices = chooseMovements(region, input, (done, of) => post({ no, kind: 'progress', done, of }));
  post({ no, kind: 'done', choices: choices.map(({ entry, ...rest }) => ({ ...rest, id: entry.id })) });
});
