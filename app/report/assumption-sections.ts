import type { Workbench } from '#core/decision/workbench';
import { sheetLabel } from '#core/decision/sheet-label';
import type { DecisionFile } from '#core/decision-file/schema';
import type { Series } from '#core/decision-file/forecast-schema';
import { featureWords, needWords } from '#core/wording/need-words';
import { columnsOf } from '#core/price-sheet/parts';
import type { Writer } from '../locale/writer';
import type { ReportSection } from './report-blocks';

/** What the figures rest on: the frame, expected sales, quantities, needs. */
export function assumptionSection(file: DecisionFile, { decision }: Workbench, write: Writer): ReportSection {
  const { currency, months, start, rates = {}, hourValue, feeTax, basis, forecast } = file;
  const frame = [
    `${months} months from ${write.month(start)}, all amounts in ${currency}.`,
    basis === 'spread' ? 'Payments count in equal parts over the months they pay for.' : 'Payments count in the month they are paid.',
    ...Object.entries(rates).map(([other, rate]) => `1 ${other} = ${write.number(rate, 6)} ${currency}.`),
    `An hour of the owner’s is worth ${write.money(hourValue ?? '0', currency)}.`,
    ...(Number(feeTax ?? 0) > 0 ? [`${write.percent(feeTax ?? '0')} of tax on what is quoted without it.`] : []),
  ];
  const needs = decision.needs ?? [];
  const level = (wanted: 'must' | 'want') => needs.filter((need) => need.level === wanted).map((need) => needWords(need));
  return {
    title: 'What it rests on',
    blocks: [
      { kind: 'list', items: frame },
      {
        kind: 'table',
        caption: 'Expected sales',
        head: ['Stream', 'Orders a month', 'Order value', 'Refunds', 'Margin', 'Cards'],
        figures: [2, 3, 4],
        rows: forecast.streams.map(({ label, id, orders, subscribers, orderValue, refunds, margin, cards }) => [
          label || id,
          subscribers
            ? `${write.number(subscribers.start)} subscribers, ${seriesWords(subscribers.joins, write)} join, ${write.percent(subscribers.churn)} leave`
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
                  `${featureWords(id)}: ${typeof driver === 'object' && 'per' in driver ? `${write.number(driver.ratio)} per ${driver.per.replace(/s$/, '')}` : seriesWords(driver, write)}`,
              ),
            },
          ]
        : []),
      ...(level('must').length > 0 ? [{ kind: 'sentence' as const, text: `It must have: ${level('must').join(', ')}.` }] : []),
      ...(level('want').length > 0 ? [{ kind: 'sentence' as const, text: `Nice to have: ${level('want').join(', ')}.` }] : []),
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
      ? [`${Number(growth) > 0 ? 'growing' : 'shrinking'} ${write.percent(growth.replace('-', ''))} a month`]
      : []),
    ...(add && Number(add) !== 0 ? [`${Number(add) > 0 ? '+' : '−'}${write.number(add.replace('-', ''))} a month`] : []),
    ...(season ? ['by season'] : []),
    ...(set && Object.keys(set).length > 0
      ? [`${Object.keys(set).length} ${Object.keys(set).length === 1 ? 'month' : 'months'} set by hand`]
      : []),
  ].join(', ');
}

const SURE = { sure: 'sure', likely: 'likely', guess: 'a guess' } as const;

/** Where the prices come from. */
export function sourceSection({ sheets }: Workbench, write: Writer): ReportSection {
  return {
    title: 'Sources',
    blocks: [
      {
        kind: 'table',
        head: ['Price sheet', 'Plans', 'Where', 'Seen', 'How sure'],
        figures: [],
        rows: sheets.map(({ sheet }) => [
          sheetLabel(sheet),
          columnsOf(sheet)
            .map(({ label }) => label)
            .filter(Boolean)
            .join(', '),
          `${sheet.evidence?.where ?? 'not noted'}${sheet.evidence?.earns ? ' (earns if one buys)' : ''}`,
          sheet.seen ? write.day(sheet.seen) : 'not dated',
          sheet.evidence?.sure ? SURE[sheet.evidence.sure] : 'not noted',
        ]),
      },
    ],
  };
}
