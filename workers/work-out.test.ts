import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { smallDecision } from '#core/tests/small-decision';
import { typedSheet } from '#core/tests/typed-sheet';
import type { Workbench } from '#core/decision/workbench';
import type { WorkOutAnswer, WorkOutQuestion } from './work-out';
import { eventually, type StubbedWorker, stubWorker } from './stub-worker';

const workbench: Workbench = {
  decision: smallDecision(),
  sheets: [{ id: 's', revision: 1, sheet: typedSheet('Tidewrack', { Small: '10/mo' }) }],
};

let ask: StubbedWorker<WorkOutQuestion, WorkOutAnswer>['ask'];
let answers: StubbedWorker<WorkOutQuestion, WorkOutAnswer>['answers'];

beforeEach(async () => {
  ({ ask, answers } = await stubWorker<WorkOutQuestion, WorkOutAnswer>(() => import('./work-out')));
});
afterEach(() => vi.unstubAllGlobals());

it('the worker says first what is proposed, then what rests on it, then ways with moves', async () => {
  ask({ number: 7, workbench });
  await eventually(() => expect(answers).toHaveLength(3));
  expect(answers[0]).toMatchObject({
    number: 7,
    proposals: { vendors: [{ offer: 'tidewrack', proposed: { total: '120.00' } }], pair: null },
  });
  expect(answers[1]).toMatchObject({ number: 7, judged: { questions: [], firstPlaces: [] } });
  expect(answers[2]).toMatchObject({ number: 7, ways: { ofVendors: {}, across: null } });
});

it('a newer question overtakes those that wait', async () => {
  ask({ number: 1, workbench });
  ask({ number: 2, workbench });
  ask({ number: 3, workbench });
  await eventually(() => expect(answers).toHaveLength(3));
  expect(answers.map(({ number }) => number)).toEqual([3, 3, 3]);
});

it('what cannot be worked out is said in words, and the next question is answered', async () => {
  ask({ number: 1, workbench: { decision: { ...smallDecision(), start: 'spring' }, sheets: workbench.sheets } });
  await eventually(() => expect(answers).toHaveLength(1));
  expect(answers[0]).toEqual({ number: 1, problem: expect.any(String) as string });
  ask({ number: 2, workbench });
  await eventually(() => expect(answers).toHaveLength(4));
  expect(answers[1]).toMatchObject({ number: 2, proposals: {} });
});
