import { countedThing } from './counted-things';
import type { PlainLine } from './plain-line';
import { isSentence } from './line-kinds';
import { feature, limitsIn, markOf, readItem } from './list-items';
import { isFree, type Place } from './plans-meant';
import type { ReadingBuilder } from './reading-builder';
import type { Statement } from '../price-phrase/statement';

const UNLIMITED_ON_ALL = /^(\p{L}[\p{L} -]{2,30}?) (?:is|are) (?:unlimited|unmetered|not limited) (?:on|in|with|for) (?:every|all|any)\b/iu;

const ON_ALL =
  /^(?:(?:for|on|with|in) )?(?:(?:every|each|any) (?:plan|package)|(?:all (?:our |the |\p{L}+ )?|both )(?:plans|packages))(?::| (?:includes?|ha(?:s|ve)|comes? with|gets?)) ([^;%¤]+?)\.?$/iu;
const MOST_WORDS = 4;

/** "Every plan includes 2 TB of bandwidth a month", "All plans include a free domain, backups and e-mail support." */
export function readIncludedOnAll({ plain, line }: PlainLine, builder: ReadingBuilder): boolean {
  const parts = (ON_ALL.exec(plain)?.[1] ?? '').split(/,\s+(?:and\s+)?|\s+and\s+/).filter((part) => part !== '');
  const stated = parts.flatMap((part): Statement[] => {
    if (/\b(?:trial|money[- ]back|refund|guarantee)\b/i.test(part)) return [];
    if (/\d|unlimited/i.test(part)) return limitsIn(part);
    return part.split(' ').length <= MOST_WORDS && !isSentence(part) ? [feature(part, true)] : [];
  });
  for (const plan of builder.plans) for (const statement of stated) builder.state(plan, statement, line);
  return stated.length > 0 && builder.plans.length > 0;
}

/** "Bandwidth is unlimited on every plan." */
export function readUnlimitedOnAll({ plain, line }: PlainLine, builder: ReadingBuilder): boolean {
  const [, words] = UNLIMITED_ON_ALL.exec(plain) ?? [];
  const thing = words === undefined ? null : countedThing(words);
  if (!thing) return false;
  for (const plan of builder.plans) builder.state(plan, { kind: 'limit', quantity: thing.quantity, most: true }, line);
  return builder.plans.length > 0;
}

/** An item of a list of what every plan has. */
export function readEveryPlan({ plain, line }: PlainLine, { heading }: Place, builder: ReadingBuilder): boolean {
  // What a thing costs is no part of every plan.
  if (/^(?:from )?¤\d/.test(plain)) return false;
  const item = readItem(plain);
  if (item.statements.length === 0 || !(markOf(plain).isMarked || plain.split(' ').length <= 6)) return false;
  for (const statement of item.statements) {
    // "Every paid plan comes with".
    for (const plan of builder.plans) if (!/\bpaid\b/.test(heading) || !isFree(plan)) builder.state(plan, statement, line);
  }
  return true;
}
