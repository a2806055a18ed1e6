import type { PlanCard } from './find-plans';
import { plansNamedIn } from './other-plans';
import { nameWords } from './plan-names';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';

/**
 * "Everything in Basic, plus:" gives a plan what the named one has, and lets it have as many: features and limits of which
 * its own list says nothing. Prices and fees are each plan's own.
 */
export function readInherited(cards: readonly PlanCard[], builder: ReadingBuilder): void {
  for (const { name, lines } of cards) {
    const plan = planCalled(name, builder);
    for (const { plain, line } of lines) {
      const [smaller] = plansNamedIn(plain).flatMap((words) => planCalled(nameWords(words), builder) ?? []);
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
