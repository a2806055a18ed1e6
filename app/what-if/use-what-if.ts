import { startTransition, useEffect, useMemo, useState } from 'react';
import type { DecisionFile } from '#core/decision-file/schema';
import type { WhatIfQuestion } from '#core/questions/answer';
import type { AnswerOf, AskedOf, WhatIfKind } from '#core/questions/kinds';
import { type Heard, whatIfAsker } from './what-if-asker';

/** What a question came to; the last answer stays until the next one is there. */
export interface Answered<Kind extends WhatIfKind> {
  readonly answer: AnswerOf<Kind> | null;
  /** The question that the answer is to. */
  readonly asked: AskedOf<Kind> | null;
  /** Whether a newer question is being worked out, or a coarse answer is made finer. */
  readonly isBusy: boolean;
  /** How far it is, once it takes longer than a moment; null before. */
  readonly progress: number | null;
  readonly problem: string | null;
}

/**
 * Asks what if, beside the interface; a newer question overtakes an older one.
 *
 * @param question - must be the same object as long as it asks the same; null asks nothing
 */
export function useWhatIf<Kind extends WhatIfKind>(
  file: DecisionFile,
  question: ({ readonly kind: Kind } & AskedOf<Kind> & WhatIfQuestion) | null,
): Answered<Kind> {
  const [last, setLast] = useState<Heard | null>(null);
  const [state, setState] = useState<Heard | null>(null);
  const [asker] = useState(() =>
    whatIfAsker(newWorker, (heard) => {
      if ('answer' in heard.reply) startTransition(() => setLast(heard));
      else setState(heard);
    }),
  );
  useEffect(() => {
    if (question) asker.ask(file, question);
  }, [asker, file, question]);
  useEffect(() => asker.close, [asker]);
  const isOfThis = (heard: Heard | null) => heard !== null && heard.question === question && heard.file === file;
  const problem = isOfThis(state) && state && 'problem' in state.reply ? state.reply.problem : null;
  const isDone = isOfThis(last) && last && 'answer' in last.reply && last.reply.done;
  const isBusy = question !== null && problem === null && !isDone;
  const progress = isBusy && isOfThis(state) && state && 'progress' in state.reply ? state.reply.progress : null;
  return useMemo(
    // The worker answers what it was asked; the kind of the question says what that is.
    () => ({
      answer: last && 'answer' in last.reply ? (last.reply.answer as AnswerOf<Kind>) : null,
      asked: last?.question ?? null,
      isBusy,
      progress,
      problem,
    }),
    [last, isBusy, progress, problem],
  );
}

function newWorker(): Worker {
  return new Worker(new URL('../../workers/what-if.ts', import.meta.url), { type: 'module' });
}
