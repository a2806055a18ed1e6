import type { Workbench } from '#core/decision/workbench';
import { sheetLabel } from '#core/decision/sheet-label';
import type { DecisionFile } from '#core/decision-file/schema';
import type { Series } from '#core/decision-file/forecast-schema';
import { featureWords, needWords } from '#core/wording/need-words';
import { columnsOf } from '#core/price-sheet/parts';
import type { Writer } from '../locale/writer';
import type { ReportSection } from './report-blocks';
import { assumptionSections as words } from './words';

/** What the figures rest on: the frame, expected sales, quantities, needs. */
export function assumptionSection(file: DecisionFile, { decision }: Workbench, write: Writer): ReportSection {
  const { currency, months, start, rates = {}, hourValue, feeTax, basis, forecast } = file;
  const frame = [
    words.monthsFromAllAmounts(months, write.month(start), currency),
    basis === 'spread' ? words.paymentsCountInEqual : words.paymentsCountInTheMonth,
    ...Object.entries(rates).map(([other, rate]) => `1 ${other} = ${write.number(rate, 6)} ${currency}.`),
    words.anHourOfTheOwners(write.money(hourValue ?? '0', currency)),
    ...(Number(feeTax ?? 0) > 0 ? [words.ofTaxOnWhat(write.percent(feeTax ?? '0'))] : []),
  ];
  const needs = decision.needs ?? [];
  const level = (wanted: 'must' | 'want') => needs.filter((need) => need.level === wanted).map((need) => needWords(need));
  return {
    title: words.whatItRestsOn,
    blocks: [
      { kind: 'list', items: frame },
      {
        kind: 'table',
        caption: words.expectedSales,
        head: [words.stream, words.ordersAMonth, words.orderValue, words.refunds, words.margin, words.cards],
        figures: [2, 3, 4],
        rows: forecast.streams.map(({ label, id, orders, subscribers, orderValue, refunds, margin, cards }) => [
          label || id,
          subscribers
            ? words.subscribersJoinLeave(
                write.number(subscribers.start),
                seriesWords(subscribers.joins, write),
                write.percent(subscribers.churn),
              )
            : seriesWords(orders ?? '0', write),
          typeof orderValue === 'string' ? write.money(orderValue, currency) : seriesWords(orderValue, write),
          `${write.percent(refunds ?? '0')}`,
          `${write.percent(margin ?? '100')}`,
          Object.entries(cards ?? { domestic: '100' })
            .map(([kind, share]) => `${kind} ${write.percent(share)}`)
            .join(', '),
        ]),
      },
      ...(Object.keys(forecast.drivers ?? {}).length > 0
        ? [
            {
              kind: 'list' as const,
              items: Object.entries(forecast.drivers ?? {}).map(
                ([id, driver]) =>
                  `${featureWords(id)}: ${typeof driver === 'object' && 'per' in driver ? words.per(write.number(driver.ratio), driver.per.replace(/s$/, '')) : seriesWords(driver, write)}`,
              ),
            },
          ]
        : []),
      ...(level('must').length > 0 ? [{ kind: 'sentence' as const, text: words.itMustHave(level('must').join(', ')) }] : []),
      ...(level('want').length > 0 ? [{ kind: 'sentence' as const, text: words.niceToHave(level('want').join(', ')) }] : []),
    ],
  };
}

/** A series in a few words: "96, growing 1.2% a month, by season". */
function seriesWords(series: Series, write: Writer): string {
  if (typeof series === 'string') return write.number(series, 2);
  const { start, growth, add, season, set } = series;
  return [
    write.number(start, 2),
    ...(growth && Number(growth) !== 0
      ? [words.aMonth(Number(growth) > 0 ? words.growing : words.shrinking, write.percent(growth.replace('-', '')))]
      : []),
    ...(add && Number(add) !== 0 ? [words.aMonthValue(Number(add) > 0 ? '+' : '−', write.number(add.replace('-', '')))] : []),
    ...(season ? [words.bySeason] : []),
    ...(set && Object.keys(set).length > 0
      ? [words.setByHand(Object.keys(set).length, Object.keys(set).length === 1 ? words.month : words.months)]
      : []),
  ].join(', ');
}

const SURE = { sure: 'sure', likely: 'likely', guess: words.aGuess } as const;

/** Where the prices come from. */
export function sourceSection({ sheets }: Workbench, write: Writer): ReportSection {
  return {
    title: words.sources,
    blocks: [
      {
        kind: 'table',
        head: [words.priceSheet, words.plans, words.where, words.seen, words.howSure],
        figures: [],
        rows: sheets.map(({ sheet }) => [
          sheetLabel(sheet),
          columnsOf(sheet)
            .map(({ label }) => label)
            .filter(Boolean)
            .join(', '),
          `${sheet.evidence?.where ?? words.notNoted}${sheet.evidence?.earns ? words.earnsIfOneBuys : ''}`,
          sheet.seen ? write.day(sheet.seen) : words.notDated,
          sheet.evidence?.sure ? SURE[sheet.evidence.sure] : words.notNoted,
        ]),
      },
    ],
  };
}
