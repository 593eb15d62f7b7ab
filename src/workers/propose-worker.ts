import { proposeSession } from '@/core/propose/propose';
import type { ProposeQuestion, ProposeReply } from './propose-protocol';

const post = (reply: ProposeReply): void => self.postMessage(reply);

self.addEventListener('message', (e: MessageEvent<ProposeQuestion>) => {
  const { no, input } = e.data;
  const proposal = proposeSession(input, (done, of) => post({ no, kind: 'progress', done, of }));
  post({ no, kind: 'done', proposal });
});
