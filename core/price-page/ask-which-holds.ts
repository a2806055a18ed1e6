import type { Statement } from '../price-phrase/statement';
import type { Fact } from './page-reading';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';

/**
 * Two rates of the same payments cannot both hold: of debit and of credit cards, say. It is asked which does, once for all
 * plans.
 *
 * @param isRate - whether a fact is a rate of taking payments, and nothing that comes on top of one
 */
export function askWhichHolds(builder: ReadingBuilder, isRate: (fact: Fact) => boolean): void {
  const rivals = builder.plans.flatMap((plan) => rivalsOf(plan, isRate).map((facts) => ({ plan, facts })));
  const asked = new Set<string>();
  for (const { facts } of rivals) {
    const lines = [...new Set(facts.flatMap((fact) => fact.lines))];
    const key = lines.join();
    if (asked.has(key)) continue;
    asked.add(key);
    const alike = rivals.filter((other) => [...new Set(other.facts.flatMap((fact) => fact.lines))].join() === key);
    const options = facts.map(({ statement }, index) => ({
      label: statement.kind === 'charge' ? lowerFirst(statement.charge.label) : '',
      statements: alike.flatMap(({ plan, facts: own }) => (own[index] ? [{ plan: plan.name, statement: own[index].statement }] : [])),
    }));
    builder.ask(
      'These are rates of the same payments, in different ways. Which holds for most of yours?',
      lines,
      alike.map(({ plan }) => plan.name),
      options,
    );
  }
  for (const { plan, facts } of rivals) for (const fact of facts) plan.facts.splice(plan.facts.indexOf(fact), 1);
}

/** Fees of one plan that the same payments would pay. */
function rivalsOf({ facts }: PlanBeingRead, isRate: (fact: Fact) => boolean): Fact[][] {
  const rates = facts.filter(isRate);
  const keys = [...new Set(rates.map(({ statement }) => onlyKey(statement)))];
  return keys.map((key) => rates.filter(({ statement }) => onlyKey(statement) === key)).filter((group) => group.length > 1);
}

function onlyKey(statement: Statement): string {
  if (statement.kind !== 'charge') return '';
  const { channels, cards } = statement.charge.only ?? {};
  return JSON.stringify([channels, cards]);
}

const lowerFirst = (label: string) => (/^\p{Lu}\p{Lu}/u.test(label) ? label : label.charAt(0).toLowerCase() + label.slice(1));
