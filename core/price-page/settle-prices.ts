import { decimal } from '../amount/decimal';
import type { Statement } from '../price-phrase/statement';
import { assemblePrices } from './assemble-prices';
import type { PriceDoubt } from './price-terms';
import type { Fact } from './page-reading';
import type { WholePage } from './page-conditions';
import { capital } from '../wording/capital';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';

const DOUBTS: Readonly<Record<PriceDoubt['about'], string>> = {
  period: 'The page does not say how often this is paid. What is it the price of?',
  length: 'The page sells several lengths and does not say which of them these prices are for. Which is it?',
  'crossed-out': 'A higher price is crossed out. Is it what is paid later?',
  'two-prices': 'The page states two prices. Which one holds?',
};

/** Prices are put together last, when everything that bears on them has been read; a doubt is asked once for all plans. */
export function settlePrices(builder: ReadingBuilder, whole: WholePage): void {
  const hints = {
    usualPer: whole.usualPer,
    paidAtOnce: whole.paidAtOnce,
    savesByYear: whole.saving !== null,
    hasMonthly: whole.hasMonthly,
    returnsToFull: whole.returnsToFull,
    lengths: whole.lengths,
  };
  const doubts: Array<{ plan: string; doubt: PriceDoubt }> = [];
  for (const plan of [...builder.plans, ...builder.addons]) {
    const isAddon = builder.addons.includes(plan);
    const {
      facts,
      doubts: own,
      aside,
    } = assemblePrices(plan.pieces, isAddon ? { ...hints, usualPer: hints.usualPer ?? 0, paidAtOnce: null } : hints);
    plan.facts.unshift(...facts.filter(({ statement }) => statement.kind !== 'introduction' && !isTooShort(statement, facts, whole)));
    plan.facts.push(...facts.filter(({ statement }) => statement.kind === 'introduction'));
    for (const { line, why } of aside) builder.putAside(line, why);
    for (const { statement, lines } of facts)
      if (isTooShort(statement, facts, whole)) for (const line of lines) builder.putAside(line, 'a month’s share of what is paid at once');
    doubts.push(...own.filter(({ lines }) => !leftForSeats(builder, lines, whole)).map((doubt) => ({ plan: plan.name, doubt })));
    if (whole.perEach !== null && !isAddon) forEach(plan, whole.perEach, builder);
  }
  for (const about of ['period', 'length', 'crossed-out', 'two-prices'] as const)
    askTogether(
      builder,
      about,
      doubts.filter(({ doubt }) => doubt.about === about),
    );
  fromSaving(builder, whole);
}

/** Beside the price by the month of one seat, other prices of it stay open: a plan has one price for each. */
function leftForSeats(builder: ReadingBuilder, lines: readonly number[], { perEach }: WholePage): boolean {
  if (perEach === null) return false;
  for (const line of lines) builder.leaveOpen(line);
  return true;
}

/** Prices "per host and month" are charged for each host; the plan itself costs nothing beside them. */
function forEach(plan: PlanBeingRead, quantity: string, builder: ReadingBuilder): void {
  const isLonger = ({ statement }: Fact) => statement.kind === 'term' && statement.term.months > 1 && Number(statement.term.price) > 0;
  const hasMonth = plan.facts.some(({ statement }) => statement.kind === 'term' && statement.term.months === 1);
  for (const fact of hasMonth ? plan.facts.filter(isLonger) : []) {
    plan.facts.splice(plan.facts.indexOf(fact), 1);
    for (const line of fact.lines) builder.leaveOpen(line);
  }
  for (const [at, { statement, lines }] of plan.facts.entries()) {
    if (statement.kind !== 'term' || statement.term.months !== 1 || !Number(statement.term.price)) continue;
    const label = capital(quantity.replaceAll('-', ' '));
    const charge = { label, bucket: 'usage', how: 'per-unit', on: quantity, each: statement.term.price ?? '0' } as const;
    plan.facts[at] = { statement: { kind: 'charge', charge }, lines };
    plan.facts.push({ statement: { kind: 'term', term: { months: 1, price: '0' } }, lines });
    return;
  }
}

/** What is quoted by the month is paid for a year where nobody can join for less. */
function isTooShort(statement: Statement, facts: readonly Fact[], { shortestTerm }: WholePage): boolean {
  if (statement.kind !== 'term' || shortestTerm === null || statement.term.months === 0 || statement.term.months >= shortestTerm)
    return false;
  return facts.some((other) => other.statement.kind === 'term' && other.statement.term.months >= shortestTerm);
}

function askTogether(
  builder: ReadingBuilder,
  about: PriceDoubt['about'],
  doubts: ReadonlyArray<{ readonly plan: string; readonly doubt: PriceDoubt }>,
): void {
  const [first] = doubts;
  if (!first) return;
  const options = first.doubt.options.map(({ label }, index) => ({
    label,
    statements: doubts.flatMap(({ plan, doubt }) => (doubt.options[index]?.statements ?? []).map((statement) => ({ plan, statement }))),
  }));
  builder.ask(
    DOUBTS[about],
    doubts.flatMap(({ doubt }) => doubt.lines),
    doubts.map(({ plan }) => plan),
    options,
  );
}

/** Months free give the price by the year; a rounded percentage does not: it is asked. */
function fromSaving(builder: ReadingBuilder, { saving }: WholePage): void {
  if (!saving) return;
  const { line } = saving;
  const yearly = builder.plans.flatMap((plan) => {
    const monthly = plan.facts.flatMap(({ statement }) =>
      statement.kind === 'term' && statement.term.months === 1 ? [statement.term.price] : [],
    )[0];
    const hasLonger = plan.facts.some(({ statement }) => statement.kind === 'term' && statement.term.months >= 12);
    return monthly == null || Number(monthly) === 0 || hasLonger ? [] : [{ plan, monthly }];
  });
  if (yearly.length === 0) {
    const follows = builder.plans.some(({ facts }) =>
      facts.some(({ statement }) => statement.kind === 'term' && statement.term.months >= 12),
    );
    // Off prices that go by a count no saving is taken.
    if (follows) builder.putAside(line, 'a saving that follows from the prices');
    else builder.leaveOpen(line);
    return;
  }
  if (saving.monthsFree !== undefined) {
    const paid = 12 - saving.monthsFree;
    for (const { plan, monthly } of yearly)
      builder.state(plan, { kind: 'term', term: { months: 12, price: decimal(monthly).times(paid).toFixed() } }, line);
    return;
  }
  const percent = saving.percent ?? '0';
  builder.ask(
    `Paying by the year saves ${percent}%, the page says. Is that taken off exactly?`,
    [line],
    yearly.map(({ plan }) => plan.name),
    [
      {
        label: `yes, ${percent}% less than twelve months`,
        statements: yearly.map(({ plan, monthly }) => ({
          plan: plan.name,
          statement: {
            kind: 'term',
            term: { months: 12, price: decimal(monthly).times(12).times(decimal(100).minus(percent)).div(100).toFixed() },
          },
        })),
      },
      { label: 'leave the price by the year open', statements: [] },
    ],
  );
}
