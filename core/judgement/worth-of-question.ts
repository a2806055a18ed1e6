import { decimal } from '../amount/decimal';
import type { ChanceAnswer } from '../chance/chance-answer';
import { isAnswerAbout } from '../chance/open-answers';
import type { OpenQuestion } from '../proposals/to-find-out';
import { isTermPriceOf } from '../what-if/open-prices';
import { featuresOf, withoutFeature } from '../wording/need-words';

type Asked = Pick<OpenQuestion, 'part' | 'asks' | 'effect'>;

/** An answer that nobody knows is as likely yes as no, in percent. */
const LIKELY = 50;

/**
 * What it would be worth to know something before choosing, base currency (docs/chance.md). Of a plan that no candidate is
 * made of it is what it would save at what is expected, as often as the answer is yes.
 *
 * @returns null where no candidate rests on it and it could save nothing, or chance was not worked out
 */
export function worthOfQuestion(question: Asked, chance: ChanceAnswer | null): string | null {
  const { part, asks, effect } = question;
  if (chance === null) return null;
  const about = chance.uncertain.filter(({ kind, of }) => of !== null && isAbout(kind, of, { part, asks }));
  if (about.length === 0 && asks.kind === 'need' && effect.kind === 'cheapest' && effect.by !== null)
    return decimal(effect.by).times(LIKELY).div(100).toFixed(2);
  return about.reduce<string | null>((most, { worth }) => (worth !== null && Number(worth) >= Number(most ?? '0') ? worth : most), null);
}

function isAbout(kind: string, of: string, { part, asks }: Pick<OpenQuestion, 'part' | 'asks'>): boolean {
  if (asks.kind === 'price') return kind === 'price' && (of === asks.id || (asks.id === part && isTermPriceOf(of, part)));
  const features = asks.need.without ? [withoutFeature(asks.need.feature)] : featuresOf(asks.need);
  return kind === 'answer' && isAnswerAbout(of, part, features);
}

/** Questions by what answering them is worth, the most first; those worth nothing stay in their order behind. */
export function byWorth<Question extends Asked>(
  questions: readonly Question[],
  chance: ChanceAnswer | null,
): Array<{ readonly question: Question; readonly worth: string | null }> {
  return questions
    .map((question) => ({ question, worth: worthOfQuestion(question, chance) }))
    .sort((a, b) => Number(b.worth ?? '0') - Number(a.worth ?? '0'));
}
