import { expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import type { WhatIfMessage, WhatIfReply } from '../../workers/what-if';
import { type Heard, whatIfAsker } from './what-if-asker';

const QUESTION = { kind: 'paying' } as const;

function asked(clock: () => number = () => 0) {
  const sent: WhatIfMessage[] = [];
  const heard: Heard[] = [];
  let reply: (data: WhatIfReply) => void = () => undefined;
  let ended = 0;
  const asker = whatIfAsker(
    () => ({
      postMessage: (message) => void sent.push(message),
      addEventListener: (_type, listener) => (reply = (data) => listener({ data })),
      terminate: () => void (ended += 1),
    }),
    (one) => heard.push(one),
    clock,
  );
  return { asker, sent, heard, say: (data: WhatIfReply) => reply(data), ended: () => ended };
}

it('sends a decision once, and again only when it is another one', () => {
  const { asker, sent } = asked();
  const file = kiteDecision();
  asker.ask(file, QUESTION);
  asker.ask(file, { kind: 'break-even' });
  asker.ask({ ...file }, QUESTION);
  expect(sent.map((message) => [message.number, message.file !== undefined])).toEqual([
    [1, true],
    [2, false],
    [3, true],
  ]);
});

it('hears only replies to the newest question, and progress only after a second', () => {
  let time = 0;
  const { asker, heard, say } = asked(() => time);
  asker.ask(kiteDecision(), QUESTION);
  asker.ask(kiteDecision(), { kind: 'break-even' });
  say({ number: 1, answer: [], done: true });
  say({ number: 2, progress: 0.2 });
  time = 1500;
  say({ number: 2, progress: 0.6 });
  say({ number: 2, answer: [], done: true });
  expect(heard.map(({ reply }) => reply)).toEqual([
    { number: 2, progress: 0.6 },
    { number: 2, answer: [], done: true },
  ]);
});

it('ends its worker, and starts another with the next question', () => {
  const { asker, sent, ended } = asked();
  const file = kiteDecision();
  asker.ask(file, QUESTION);
  asker.close();
  asker.ask(file, QUESTION);
  expect([ended(), sent.map((message) => message.file !== undefined)]).toEqual([1, [true, true]]);
});
