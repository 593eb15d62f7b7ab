import { chooseMovements } from '@/core/book/choose';
import { USUAL_LOAD_KIT } from '@/core/book/entry-load';
import type { ChooseQuestion, ChooseReply } from './choose-protocol';

const post = (reply: ChooseReply): void => self.postMessage(reply);

self.addEventListener('message', (e: MessageEvent<ChooseQuestion>) => {
  const { no, region, input } = e.data;
  const choices = chooseMovements(region, { ...input, loadKit: USUAL_LOAD_KIT }, (done, of) => post({ no, kind: 'progress', done, of }));
  post({ no, kind: 'done', choices: choices.map(({ entry, ...rest }) => ({ ...rest, id: entry.id })) });
});
