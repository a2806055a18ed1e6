import { describe, expect, it } from 'vitest';
import type { Workbench } from '#core/decision/workbench';
import type { WorkOutAnswer, WorkOutQuestion } from '../../workers/work-out';
import { type Asked, workOutAsker } from './work-out-asker';

const workbench = (name: string): Workbench => ({
  decision: { name, currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] },
  sheets: [],
});

/** Workers that note what they are asked and answer when they are told to. */
function workers() {
  const all: Array<{ questions: WorkOutQuestion[]; answer(data: WorkOutAnswer): void; isEnded: boolean }> = [];
  const start = (): Asked => {
    let listener: (event: { data: WorkOutAnswer }) => void = () => undefined;
    const worker = { questions: [] as WorkOutQuestion[], answer: (data: WorkOutAnswer) => listener({ data }), isEnded: false };
    all.push(worker);
    return {
      postMessage: (question) => void worker.questions.push(question),
      addEventListener: (_type, added) => {
        listener = added;
      },
      terminate: () => {
        worker.isEnded = true;
      },
    };
  };
  return { all, start };
}

const problem = (number: number): WorkOutAnswer => ({ number, problem: `answer ${number}` });

describe('asking a worker', () => {
  it('starts it with the first question, and asks the same one for all', () => {
    const { all, start } = workers();
    const asker = workOutAsker(start, () => undefined);
    expect(all).toHaveLength(0);
    asker.about(workbench('one'));
    asker.about(workbench('two'));
    expect(all).toHaveLength(1);
    expect(all[0]?.questions.map(({ number, workbench: { decision } }) => [number, decision.name])).toEqual([
      [1, 'one'],
      [2, 'two'],
    ]);
  });

  it('hears only answers to the newest question, both halves of them', () => {
    const { all, start } = workers();
    const heard: string[] = [];
    const asker = workOutAsker(start, ({ decision }, answer) =>
      heard.push(`${decision.name}: ${'problem' in answer ? answer.problem : 'more'}`),
    );
    asker.about(workbench('one'));
    asker.about(workbench('two'));
    all[0]?.answer(problem(1));
    all[0]?.answer({ number: 2, proposals: { vendors: [], pair: null } });
    all[0]?.answer({
      number: 2,
      judged: { questions: [], firstPlaces: [], unseen: null, comingBack: null, caveats: { otherBasis: null, offer: null } },
    });
    all[0]?.answer(problem(3));
    expect(heard).toEqual(['two: more', 'two: more']);
  });

  it('does not ask about the same workbench again', () => {
    const { all, start } = workers();
    const asker = workOutAsker(start, () => undefined);
    const one = workbench('one');
    asker.about(one);
    asker.about(one);
    expect(all[0]?.questions).toHaveLength(1);
  });

  it('ends the worker when it is closed, hears nothing of it any more, and can begin again', () => {
    const { all, start } = workers();
    const heard: WorkOutAnswer[] = [];
    const asker = workOutAsker(start, (_, answer) => heard.push(answer));
    const one = workbench('one');
    asker.about(one);
    asker.close();
    expect(all[0]?.isEnded).toBe(true);
    all[0]?.answer(problem(1));
    asker.about(one);
    expect(all).toHaveLength(2);
    all[0]?.answer(problem(2));
    all[1]?.answer(problem(2));
    expect(heard).toEqual([problem(2)]);
  });
});
