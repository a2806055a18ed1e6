import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { RecordingAnswer, RecordingQuestion } from './read-recording';
import { eventually, type StubbedWorker, stubWorker } from './stub-worker';

let ask: StubbedWorker<RecordingQuestion, RecordingAnswer>['ask'];
let answers: StubbedWorker<RecordingQuestion, RecordingAnswer>['answers'];

beforeEach(async () => {
  ({ ask, answers } = await stubWorker<RecordingQuestion, RecordingAnswer>(() => import('./read-recording')));
});
afterEach(() => vi.unstubAllGlobals());

it('each recording of the demo is read in figures', async () => {
  for (const name of ['marlpit', 'tidewrack', 'brindle'])
    ask({ id: name, file: new File([readFileSync(new URL(`../demo/page-speed/${name}.har`, import.meta.url))], `${name}.har`) });
  await eventually(() => expect(answers).toHaveLength(3));
  const figures = answers.map((answer) =>
    'measurement' in answer
      ? [answer.measurement.id, answer.measurement.requests, answer.measurement.cached, answer.measurement.thirdParties.length]
      : answer.problem,
  );
  expect(figures).toEqual([
    ['marlpit', 28, 0, 2],
    ['tidewrack', 51, 0, 3],
    ['brindle', 33, 9, 1],
  ]);
});

it('a file that is none is refused in words', async () => {
  ask({ id: 'x', file: new File(['<html>'], 'page.html') });
  await eventually(() => expect(answers).toHaveLength(1));
  expect(answers[0]).toEqual({ problem: 'This is not JSON. Was the file cut off when it was saved?' });
});
