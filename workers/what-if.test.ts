import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { answerWhatIf } from '#core/questions/answer';
import type { WhatIfMessage, WhatIfReply } from './what-if';
import { eventually, type StubbedWorker, stubWorker } from './stub-worker';

const MAP = { kind: 'map' as const, x: { key: 'orders', low: -50, high: 50 }, y: { key: 'order-value', low: -50, high: 50 } };

let ask: StubbedWorker<WhatIfMessage, WhatIfReply>['ask'];
let answers: StubbedWorker<WhatIfMessage, WhatIfReply>['answers'];

beforeEach(async () => {
  ({ ask, answers } = await stubWorker<WhatIfMessage, WhatIfReply>(() => import('./what-if')));
});
afterEach(() => vi.unstubAllGlobals());

const isDone = (number: number) => answers.some((reply) => reply.number === number && 'done' in reply && reply.done);

it('answers are those that the server would give, and the decision is kept for the next question', async () => {
  ask({ number: 1, file: kiteDecision(), question: { kind: 'break-even' } });
  await eventually(() => expect(isDone(1)).toBe(true));
  expect(answers).toEqual([{ number: 1, answer: answerWhatIf(kiteDecision(), { kind: 'break-even' }), done: true }]);
  ask({ number: 2, question: { kind: 'offers', off: [] } });
  await eventually(() => expect(isDone(2)).toBe(true));
  expect(answers.at(-1)).toEqual({ number: 2, answer: answerWhatIf(kiteDecision(), { kind: 'offers', off: [] }), done: true });
});

it('a map comes coarse first, then fine, and a newer question overtakes it', async () => {
  ask({ number: 1, file: kiteDecision(), question: MAP });
  await eventually(() => expect(isDone(1)).toBe(true));
  const maps = answers.flatMap((reply) =>
    'answer' in reply && reply.answer !== null && 'columns' in reply.answer ? [reply.answer.columns] : [],
  );
  expect(maps).toEqual([50, 200]);
  ask({ number: 2, question: MAP });
  ask({ number: 3, question: { kind: 'paying' } });
  await eventually(() => expect(isDone(3)).toBe(true));
  expect(answers.filter(({ number }) => number === 2)).toEqual([]);
});

it('what cannot be worked out is said in words', async () => {
  ask({ number: 1, file: { ...kiteDecision(), start: 'spring' }, question: { kind: 'break-even' } });
  await eventually(() => expect(answers).toHaveLength(1));
  expect(answers[0]).toMatchObject({ number: 1, problem: expect.stringContaining('spring') as string });
});
