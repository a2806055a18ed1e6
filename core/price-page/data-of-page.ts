import { isSameAmount } from '../amount/decimal';
import { type LinkedOffers, readLinkedData } from './linked-data';
import type { PageBlocks } from './page-blocks';
import { nothingSaid } from './page-conditions';
import { readScriptData } from './page-data';
import type { PlainLine } from './plain-line';
import type { ReadingBuilder } from './reading-builder';
import { readRest } from './rest-of-page';

/** Data in the page's scripts: where the page itself shows no plans they are read from it. */
export function readData(page: PageBlocks, builder: ReadingBuilder): { vendor: string; currency: string | null } {
  const linked = readLinkedData(page.linkedData);
  const vendor = linked?.vendor ?? '';
  if (builder.plans.length > 0) return { vendor, currency: null };
  if (linked) {
    readOffers(linked, builder);
    return { vendor, currency: null };
  }
  const script = readScriptData(page.scriptData);
  for (const [which, parts] of [['plan', script.plans] as const, ['addon', script.addons] as const])
    for (const { name, statements } of parts) {
      const line = builder.addLine(`In the page’s data: ${name}`);
      const added = builder[which](name, line);
      for (const statement of statements) builder.state(added, statement, line);
    }
  readAnswers(script.answers, builder);
  return { vendor: script.vendor, currency: script.currency };
}

/**
 * Data beside what a page shows are further evidence: the same price confirms, another one is asked, and a plan that shows
 * no price at all takes the one of its data.
 */
export function confirmByData({ linkedData }: PageBlocks, builder: ReadingBuilder): void {
  for (const { plan: name, clauses } of readLinkedData(linkedData)?.plans ?? []) {
    const plan = builder.plans.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (!plan || builder.isOfData(plan)) continue;
    const terms = clauses.flatMap((clause) => (clause.kind === 'read' ? clause.statements : [])).filter((one) => one.kind === 'term');
    for (const statement of terms) {
      const at = plan.facts.findIndex((fact) => fact.statement.kind === 'term' && fact.statement.term.months === statement.term.months);
      const shown = plan.facts[at];
      const hasNone = !plan.facts.some((fact) => fact.statement.kind === 'term') && plan.pieces.length === 0;
      if (hasNone) builder.state(plan, statement, builder.addLine(`In the page’s data: ${name}, ${statement.term.price ?? ''}`));
      if (shown?.statement.kind !== 'term' || isSameAmount(shown.statement.term.price, statement.term.price) || shown.statement.term.intro)
        continue;
      plan.facts.splice(at, 1);
      const line = builder.addLine(`In the page’s data: ${name}, ${statement.term.price ?? ''}`);
      builder.ask(
        'The page shows another price than its data state. Which one holds?',
        [...shown.lines, line],
        [name],
        [shown.statement, statement].map((one) => ({
          label: one.term.price ?? 'not stated',
          statements: [{ plan: name, statement: one }],
        })),
      );
    }
  }
}

/** Offers of schema.org data, each price with what it says, or a question where it does not say how often it is paid. */
function readOffers({ plans }: LinkedOffers, builder: ReadingBuilder): void {
  for (const { plan, clauses } of plans) {
    const added = builder.plan(plan, builder.addLine(`In the page’s data: ${plan}`), true);
    for (const clause of clauses) {
      const line = builder.addLine(`${plan}: ${clause.text}`);
      if (clause.kind === 'read') for (const statement of clause.statements) builder.state(added, statement, line);
      else if (clause.kind === 'not-understood') builder.leaveOpen(line);
      else
        builder.ask(
          clause.question,
          [line],
          [plan],
          clause.options.map(({ label, statements }) => ({ label, statements: statements.map((statement) => ({ plan, statement })) })),
        );
    }
  }
}

function readAnswers(answers: ReadonlyArray<{ readonly question: string; readonly answer: string }>, builder: ReadingBuilder): void {
  const lines = answers
    .flatMap(({ question, answer }) => [question, answer])
    .map((text): PlainLine => ({ kind: 'line', line: builder.addLine(text), text, plain: text }));
  readRest(lines, builder, nothingSaid());
}
