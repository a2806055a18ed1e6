import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { smallDecision } from '#core/tests/small-decision';
import { typedSheet } from '#core/tests/typed-sheet';
import type { Workbench } from '#core/decision/workbench';
import type { WorkOutAnswer, WorkOutQuestion } from './work-out';
import { type StubbedWorker, stubWorker } from './stub-worker';

const bench: Workbench = {
  decision: smallDecision(),
  sheets: [{ id: 's', revision: 1, sheet: typedSheet('Tidewrack', { Small: '10/mo' }) }],
};

let ask: StubbedWorker<WorkOutQuestion, WorkOutAnswer>['ask'];
let answers: StubbedWorker<WorkOutQuestion, WorkOutAnswer>['answers'];

beforeEach(async () => {
  ({ ask, answers } = await stubWorker<WorkOutQuestion, WorkOutAnswer>(() => import('./work-out')));
});
afterEach(() => vi.unstubAllGlobals());

it('the worker says first what is proposed, then what rests on it', async () => {
  ask({ number: 7, bench });
  await vi.waitFor(() => expect(answers).toHaveLength(2));
  expect(answers[0]).toMatchObject({
    number: 7,
    proposals: { vendors: [{ offer: 'tidewrack', proposed: { total: '120.00' } }], pair: null },
  });
  expect(answers[1]).toMatchObject({ number: 7, judged: { questions: [], firstPlaces: [] } });
});

it('a newer question overtakes those that wait', async () => {
  ask({ number: 1, bench });
  ask({ number: 2, bench });
  ask({ number: 3, bench });
  await vi.waitFor(() => expect(answers).toHaveLength(2));
  expect(answers.map(({ number }) => number)).toEqual([3, 3]);
});

it('what cannot be worked out is said in words, and the next question is answered', async () => {
  ask({ number: 1, bench: { decision: { ...smallDecision(), start: 'spring' }, sheets: bench.sheets } });
  await vi.waitFor(() => expect(answers).toHaveLength(1));
  expect(answers[0]).toEqual({ number: 1, problem: expect.any(String) as string });
  ask({ number: 2, bench });
  await vi.waitFor(() => expect(answers).toHaveLength(3));
  expect(answers[1]).toMatchObject({ number: 2, proposals: {} });
});
