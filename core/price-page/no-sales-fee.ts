import { noFee } from './fees';
import type { Fact } from './page-reading';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';

/** A share of each sale that a plan takes, whoever takes the payments. */
function takesShare({ statement }: Fact): boolean {
  if (statement.kind !== 'charge' || statement.charge.how !== 'per-order') return false;
  const { bucket = 'transaction', percent = '0', only } = statement.charge;
  return bucket === 'transaction' && Number(percent) > 0 && only?.payments === undefined;
}

/**
 * "Do you take a commission?", "No, never.": no plan has a sales fee. Where the page has stated one before, it is asked which of
 * the two holds.
 *
 * @param line - of the answer
 */
export function readNoSalesFee(line: number, builder: ReadingBuilder): void {
  const contradicted = builder.plans.flatMap((plan) => plan.facts.filter(takesShare).map((fact) => ({ plan, fact })));
  const isContradicted = (plan: PlanBeingRead) => contradicted.some((one) => one.plan === plan);
  for (const plan of builder.plans) if (!isContradicted(plan)) builder.state(plan, noFee().statement, line);
  if (contradicted.length === 0) return;
  for (const { plan, fact } of contradicted) plan.facts.splice(plan.facts.indexOf(fact), 1);
  const plans = [...new Set(contradicted.map(({ plan }) => plan.name))];
  builder.ask(
    'The page states a sales fee, and answers that there is none. Which holds?',
    [...contradicted.flatMap(({ fact }) => fact.lines), line],
    plans,
    [
      { label: 'the fee', statements: contradicted.map(({ plan, fact }) => ({ plan: plan.name, statement: fact.statement })) },
      { label: 'none', statements: plans.map((plan) => ({ plan, statement: noFee().statement })) },
    ],
  );
}
