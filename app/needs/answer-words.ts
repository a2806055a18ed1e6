import type { Answer } from '#core/needs/answers';
import { isMet } from '#core/needs/answers';
import type { DecisionNeed } from '#core/decision/need-schema';
import type { Addon } from '#core/decision-file/price-sheet-schema';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../locale/writer';

/** How an answer stands in its cell. */
export interface AnswerText {
  readonly text: string;
  /** What else belongs to it, such as an add-on's price. */
  readonly note: string;
  /** Whether the need is met, not met, or nobody knows. */
  readonly state: 'met' | 'not-met' | 'not-known';
}

/** An answer in a few words. */
export function answerText(answer: Answer, need: DecisionNeed, write: Writer): AnswerText {
  const judged = isMet(answer, need) ? 'met' : 'not-met';
  const state = answer.kind === 'not-known' ? 'not-known' : judged;
  switch (answer.kind) {
    case 'yes':
      return { text: need.without ? 'has it' : 'yes', note: '', state };
    case 'no':
      return { text: need.without ? 'without' : 'no', note: '', state };
    case 'amount':
      return { text: answer.amount === null ? 'no limit' : write.number(answer.amount), note: answer.isEnough ? '' : 'too few', state };
    case 'addon':
      return {
        text: `+ ${answer.addon.label || 'an add-on'}`,
        note: `${addonPrice(answer.addon, write)}${answer.isShared ? ', sold by others' : ''}`,
        state,
      };
    case 'one-way':
      return { text: answer.way === 'to' ? 'hands on only' : 'takes over only', note: '', state };
    case 'not-known':
      return { text: '?', note: '', state };
  }
}

/** What an add-on costs, by its first term: "9.00 by the month". */
export function addonPrice({ terms = [], charges = [], currency }: Addon, write: Writer): string {
  const [term] = terms;
  if (!term) return charges.length > 0 ? 'paid by use' : 'no price yet';
  return term.price === null ? 'price not known' : `${write.money(term.price, currency)} ${termWords(term.months)}`;
}
