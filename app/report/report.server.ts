import type { Workbench } from '#core/decision/workbench';
import { datesThatMatter, daysLeft } from '#core/dates/dates-that-matter';
import type { LineUp } from '#core/comparison/line-up';
import type { PricedDecision } from '#core/comparison/decision-result';
import type { Condition, Threshold } from '#core/decision/conditions-schema';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { dateReason, dateTitle, daysLeftWords } from '../dates/date-words';
import type { Writer } from '../locale/writer';
import {
  chosenByChance,
  chosenSentence,
  conditionWords,
  openWords,
  suitsSentence,
  thresholdWords,
  togetherWords,
  winnerWords,
} from '../verdict/verdict-words';
import { shownConditions } from '../verdict/conditions-table';
import { assumptionSection, sourceSection } from './assumption-sections';
import type { Report, ReportBlock, ReportSection } from './report-blocks';
import { bucketsChart, courseSoFarChart } from './report-charts.server';
import { report as words } from './words';

/** What a report is made from. */
export interface ReportOf {
  /** The decision in the revision the verdict was made from; null where that is not kept here. */
  readonly decided: { readonly workbench: Workbench; readonly priced: PricedDecision; readonly lineUp: LineUp } | null;
  readonly name: string;
  /** As it was given, or what it would be if it were given now. */
  readonly verdict: GivenVerdict | null;
  readonly isGiven: boolean;
  /** `YYYY-MM-DD`. */
  readonly today: string;
  readonly write: Writer;
}

/** Puts a report together: question, answer, totals, charts, conditions, assumptions, sources. */
export function reportOf({ decided, name, verdict, isGiven, today, write }: ReportOf): Report {
  const nameOf = (id: string | null) => (id === null ? 'nobody' : (verdict?.totals.find(({ candidate }) => candidate === id)?.label ?? id));
  return {
    title: name || words.whereToSell,
    subtitle:
      isGiven && verdict
        ? words.verdictOf(write.day(verdict.on), verdict.strength === 'modest' ? words.forNow : '')
        : words.noVerdictIsGiven(write.day(today)),
    sections: [
      answerSection(verdict, write),
      ...(decided ? [totalsSection(decided, verdict, write)] : []),
      ...(!decided && verdict ? [givenTotals(verdict, write)] : []),
      ...(verdict ? [conditionSection(verdict.conditions, verdict.thresholds, verdict, nameOf, write)] : []),
      ...(verdict && verdict.open.length > 0
        ? [
            {
              title: words.whatIsStillOpen,
              blocks: [{ kind: 'list' as const, items: verdict.open.map((question) => openWords(question, write)) }],
            },
          ]
        : []),
      ...(decided
        ? [
            ...dateSection(decided, isGiven ? verdict : null, today, write),
            assumptionSection(decided.priced.pricing.file, decided.workbench, write),
            sourceSection(decided.workbench, write),
          ]
        : []),
      ...(!decided && verdict
        ? [
            {
              title: words.sources,
              blocks: [
                {
                  kind: 'list' as const,
                  items: verdict.sheets.map(({ label, seen }) => `${label}, ${seen ? words.seen(write.day(seen)) : words.notDated}`),
                },
              ],
            },
          ]
        : []),
    ],
    footer: footerOf(verdict, isGiven, today, write),
  };
}

function footerOf(verdict: GivenVerdict | null, isGiven: boolean, today: string, write: Writer): string {
  const made = words.writtenByVenalisOn(write.day(today));
  if (!isGiven || !verdict) return made;
  return verdict.madeFrom ? words.theFiguresAreThose(made, verdict.madeFrom.revision) : words.theRevisionFromWhich(made);
}

function answerSection(verdict: GivenVerdict | null, write: Writer): ReportSection {
  if (!verdict) return { title: words.answer, blocks: [{ kind: 'sentence', style: 'answer', text: words.noCandidateCanBeChosen }] };
  const best = verdict.forWhom || suitsSentence(verdict.suits, write);
  return {
    title: words.answer,
    blocks: [
      { kind: 'sentence', style: 'answer', text: chosenSentence(verdict, verdict.months, write) },
      ...(verdict.chance ? [{ kind: 'sentence' as const, text: chosenByChance(verdict.chance, write) }] : []),
      ...(verdict.shared ? [{ kind: 'sentence' as const, text: togetherWords(verdict, verdict.currency, write) }] : []),
      ...(verdict.reason ? [{ kind: 'quote' as const, text: verdict.reason }] : []),
      ...(best ? [{ kind: 'sentence' as const, text: best }] : []),
      {
        kind: 'sentence',
        style: 'quiet',
        text: words.withSalesOfAMonth(verdict.version, write.amount(verdict.monthlySales), write.orders(verdict.monthlyOrders)),
      },
    ],
  };
}

function totalsSection({ priced, lineUp }: NonNullable<ReportOf['decided']>, verdict: GivenVerdict | null, write: Writer): ReportSection {
  const { currency, months } = priced.pricing.file;
  const chosen = new Set(verdict?.parts.map(({ candidate }) => candidate));
  const years = lineUp.columns[0]?.years.length ?? 1;
  const rows = lineUp.columns.map(({ id, label, result, years: yearly, atLeast }) => [
    `${id}  ${label}`,
    `${atLeast ? words.atLeast : ''}${write.money(result.total, currency)}`,
    ...(years > 1 ? yearly.map((year) => write.whole(year)) : []),
    result.perOrder === null ? '' : write.money(result.perOrder, currency),
    result.shareOfSales === null ? '' : write.share(result.shareOfSales),
    write.whole(result.keep),
    noteOf(result, write),
  ]);
  const yearHeads = years > 1 ? Array.from({ length: years }, (_, index) => words.year(index + 1)) : [];
  const blocks: ReportBlock[] = [
    {
      kind: 'table',
      caption: words.totalsOverMonths(months, currency),
      head: [words.candidate, words.total, ...yearHeads, words.perOrder, words.ofSales, words.leftToYou, ''],
      figures: Array.from({ length: yearHeads.length + 4 }, (_, index) => index + 1),
      rows,
      marked: lineUp.columns.flatMap(({ id }, index) => (chosen.has(id) ? [index] : [])),
    },
  ];
  if (lineUp.columns.length > 0)
    blocks.push(
      { kind: 'chart', title: words.whereTheTotalsCome, svg: bucketsChart(lineUp, write) },
      { kind: 'chart', title: words.costSoFarMonth, svg: courseSoFarChart(priced, lineUp, write) },
    );
  return { title: words.totals, blocks };
}

function noteOf({ outgrown, missing, unclear, unknown }: LineUp['columns'][number]['result'], write: Writer): string {
  if (outgrown) return words.outgrownFrom(write.month(outgrown.month));
  if (missing.length > 0) return words.lacks(missing.map((one) => one.replaceAll('-', ' ')).join(', '));
  if (unclear.length > 0) return words.notKnown(unclear.map((one) => one.replaceAll('-', ' ')).join(', '));
  return unknown.length > 0 ? words.aPriceIsNotKnown : '';
}

function givenTotals(verdict: GivenVerdict, write: Writer): ReportSection {
  const chosen = new Set(verdict.parts.map(({ candidate }) => candidate));
  return {
    title: words.totals,
    blocks: [
      {
        kind: 'table',
        caption: words.totalsOverMonths(verdict.months, verdict.currency),
        head: [words.candidate, words.total, ''],
        figures: [1],
        rows: verdict.totals.map(({ candidate, label, total, atLeast, usable }) => [
          `${candidate}  ${label}`,
          `${atLeast ? words.atLeast : ''}${write.money(total, verdict.currency)}`,
          usable ? '' : words.cannotBeChosen,
        ]),
        marked: verdict.totals.flatMap(({ candidate }, index) => (chosen.has(candidate) ? [index] : [])),
      },
    ],
  };
}

function conditionSection(
  conditions: readonly Condition[],
  thresholds: readonly Threshold[],
  verdict: GivenVerdict,
  nameOf: (id: string | null) => string,
  write: Writer,
): ReportSection {
  const shown = shownConditions(conditions);
  const chosen = new Set(verdict.parts.map(({ candidate }) => candidate));
  return {
    title: words.underWhichConditions,
    blocks: [
      {
        kind: 'table',
        head: [words.condition, words.costsLeast, words.total, words.lessThanTheNext],
        figures: [2, 3],
        rows: shown.map((condition) => [
          `${conditionWords(condition, write)}${condition.kind === 'sales' && condition.isForecast ? words.theForecast : ''}`,
          winnerWords(condition, nameOf),
          condition.total === undefined ? '' : write.whole(condition.total),
          condition.margin === undefined ? '' : write.whole(condition.margin),
        ]),
        marked: shown.flatMap(({ winner }, index) => (winner === null || !chosen.has(winner) ? [index] : [])),
      },
      ...(thresholds.length > 0
        ? [
            { kind: 'sentence' as const, text: words.whatWouldChangeItTheNearest },
            { kind: 'list' as const, items: thresholds.map((threshold) => thresholdWords(threshold, nameOf, write, verdict.comparedBy)) },
          ]
        : []),
    ],
  };
}

function dateSection(
  { workbench, priced }: NonNullable<ReportOf['decided']>,
  verdict: GivenVerdict | null,
  today: string,
  write: Writer,
): ReportSection[] {
  const { currency } = workbench.decision;
  const ahead = datesThatMatter(workbench, priced, verdict ?? undefined).filter((date) => daysLeft(date, today) >= 0);
  if (ahead.length === 0) return [];
  return [
    {
      title: words.datesThatMatter,
      blocks: [
        {
          kind: 'table',
          head: [words.day, words.whatAndWhy, words.atStake],
          figures: [2],
          rows: ahead.map((date) => [
            `${write.day(date.on)}, ${daysLeftWords(daysLeft(date, today))}`,
            `${dateTitle(date)}. ${dateReason(date, currency, write)}`.trim(),
            date.atStake === null ? '' : write.money(date.atStake, currency),
          ]),
        },
      ],
    },
  ];
}
