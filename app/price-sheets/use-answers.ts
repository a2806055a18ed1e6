import { type KeyboardEvent, useState } from 'react';
import type { Clause } from '#core/price-phrase/statement';
import { type AnsweredClause, openQuestion } from './phrase-reading';

/** Answers to the questions about a text; they are forgotten when the text changes. */
export function useAnswers(text: string, clauses: readonly Clause[]) {
  const [given, setGiven] = useState<{ text: string; answers: ReadonlyMap<string, number>; marked: number }>({
    text,
    answers: new Map(),
    marked: 0,
  });
  const current = given.text === text ? given : { text, answers: new Map<string, number>(), marked: 0 };
  const answered: AnsweredClause[] = clauses.map((clause) => ({ clause, answer: current.answers.get(keyOf(clause)) ?? null }));
  const asking = openQuestion(answered);
  const answer = (index: number, option: number) => {
    const clause = clauses[index];
    if (clause) setGiven({ text, answers: new Map(current.answers).set(keyOf(clause), option), marked: 0 });
  };
  /** Arrow keys choose an answer, Enter gives it. True if the key was used. */
  const press = (event: KeyboardEvent): boolean => {
    const clause = clauses[asking];
    if (clause?.kind !== 'asked') return false;
    // The last answer is that none of them holds.
    const length = clause.options.length + 1;
    if (event.key === 'Enter' && !event.shiftKey) answer(asking, current.marked);
    else if (event.key === 'ArrowDown') setGiven({ ...current, marked: (current.marked + 1) % length });
    else if (event.key === 'ArrowUp') setGiven({ ...current, marked: (current.marked + length - 1) % length });
    else return false;
    event.preventDefault();
    return true;
  };
  return { answered, asking, marked: current.marked, answer, press };
}

function keyOf({ from, to }: Clause): string {
  return `${from} ${to}`;
}
