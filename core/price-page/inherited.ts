import type { PlanCard } from './find-plans';
import { nameWords } from './plan-names';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';

const EVERYTHING_IN =
  /^[✓✔+\s]*(?:includes? |with |get )?(?:everything|all(?: the)?(?: features)?)(?: else)?(?: that is| you get| that comes| you have)? (?:in|of|from|with) (?:the )?(.+?)(?:,? ?(?:plus|and|as well as)\b.*)?[\s:,.…+]*$/iu;

/** "All Basic features, plus", "What Basic has, and", "Same as Basic, but with", "Basic, plus:". */
const IN_OTHER_WORDS: readonly RegExp[] = [
  /^all (?:the )?(.+?) features\b/iu,
  /^(?:what|all that|all) (.+?) (?:has|have|does|includes|offers)\b/iu,
  /^(?:the )?(?:same|just|much) (?:as|like) (.+?),? (?:plus|and|but|with)\b/iu,
  /^like (.+?),? (?:plus|and|but|with)\b/iu,
  /^(.+?)['’]s? features\b,? (?:plus|and)\b/iu,
  /^(?:the )?(.+?),? (?:plus|and)[:…\s]*$/iu,
];

/** The plan whose own things a line passes on, in the page's words; what other patterns read of it names no plan. */
function namedIn(plain: string): readonly string[] {
  const text = plain.replace(/^[✓✔+•\s]+/u, '');
  return [EVERYTHING_IN, ...IN_OTHER_WORDS].flatMap((pattern) => pattern.exec(text)?.[1] ?? []);
}

/**
 * "Everything in Basic, plus:" gives a plan what the named one has, and lets it have as many: features and limits of which
 * its own list says nothing. Prices and fees are each plan's own.
 */
export function readInherited(cards: readonly PlanCard[], builder: ReadingBuilder): void {
  for (const { name, lines } of cards) {
    const plan = planCalled(name, builder);
    for (const { plain, line } of lines) {
      const [smaller] = namedIn(plain).flatMap((words) => planCalled(nameWords(words), builder) ?? []);
      if (plan && smaller && smaller !== plan) inherit(plan, smaller, line, builder);
    }
  }
}

function planCalled(name: string, { plans }: ReadingBuilder): PlanBeingRead | undefined {
  return plans.find((plan) => plan.name.toLowerCase() === name.toLowerCase());
}

function inherit(plan: PlanBeingRead, smaller: PlanBeingRead, line: number, builder: ReadingBuilder): void {
  for (const { statement, lines } of [...smaller.facts]) {
    const isThere =
      statement.kind === 'feature' ? statement.value === true : statement.kind === 'limit' && !isPriced(plan, statement.quantity);
    if (isThere) builder.state(plan, statement, line, ...lines);
  }
}

/** What is charged for each of something from the first on has no such limit. */
function isPriced({ facts }: PlanBeingRead, quantity: string): boolean {
  return facts.some(({ statement }) => statement.kind === 'charge' && statement.charge.on === quantity);
}
