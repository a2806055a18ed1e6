import { Link } from 'react-router';
import { useState } from 'react';
import { decimal } from '#core/amount/decimal';
import { breakdownOf } from '#core/comparison/breakdown';
import { monthSentences } from '#core/explain/month-sentences';
import { DataTable } from '../components/data-table';
import { HowLink, ruleOf } from '../how/how-link';
import { useWriter } from '../locale/locale';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import { BUCKET_NAMES } from './bucket-names';
import type { OpenFigure } from './figure-button';
import { sourceWords } from './source-words';
import { figurePanel as words } from './words/figure-panel';

/** How a figure came about: its sources with their rates, and its months. */
export function FigurePanel({ figure }: { figure: Extract<OpenFigure, { kind: 'figure' }> }) {
  const { state, decisionId } = useWorkbench();
  const { priced, scale } = useLevel();
  const write = useWriter();
  const [chosen, setChosen] = useState<string | null>(null);
  const { pricing } = priced.priced;
  const { bucket, year } = figure;
  const candidate = pricing.file.candidates.find(({ id }) => id === figure.candidate);
  const column = priced.lineUp.columns.find(({ id }) => id === figure.candidate);
  const breakdown = breakdownOf(priced.priced, figure.candidate, { bucket, year });
  if (!candidate || !column || !breakdown) return <p>{words.thisCandidateIsNoLonger}</p>;
  const { currency } = pricing.file;
  const what = bucket ? BUCKET_NAMES[bucket].name : words.total;
  const when = year === undefined ? '' : `, ${year === 0 ? words.firstYear : words.year(year + 1)}`;
  const { months } = priced.priced.result;
  const told = breakdown.byMonth.find(({ month }) => month === (chosen ?? breakdown.dearest?.month));
  const sheetOf = (part: string) =>
    state.workbench.sheets.find(({ sheet }) =>
      sheet.kind === 'offer'
        ? [...sheet.offer.plans, ...(sheet.offer.addons ?? [])].some(({ id }) => id === part)
        : (sheet.kind === 'processor' ? sheet.processor.id : sheet.addon.id) === part,
    );
  return (
    <>
      <h2>
        {what}
        {when}, {column.label}
      </h2>
      <p className="panel-amount">
        {column.atLeast && words.atLeast}
        {write.money(breakdown.total, currency)}
      </p>
      {bucket && <p className="quiet">{BUCKET_NAMES[bucket].meaning}</p>}
      <ul className="parts">
        {breakdown.parts.map((part) => {
          const { name, rate, sheetPart } = sourceWords(pricing, candidate, part.source, write);
          const used = sheetPart === null ? undefined : sheetOf(sheetPart);
          return (
            <li key={JSON.stringify(part.source)}>
              <span>
                <b>{name}</b>
                <small>{rate}</small>
                <small>
                  {words.inOfMonths(
                    part.months,
                    breakdown.byMonth.length,
                    part.currency !== currency && `, ${write.price(part.charged, part.currency)}`,
                  )}
                </small>
                {used && (
                  <small>
                    <Link to={`/decisions/${decisionId}/sheets/${used.id}`}>{words.onThePriceSheet}</Link>
                    {used.sheet.seen && words.seen(write.day(used.sheet.seen))}
                  </small>
                )}
              </span>
              <b className="part-amount">{write.money(part.total, currency)}</b>
            </li>
          );
        })}
      </ul>
      {told && (
        <section aria-label={words.howCameAbout(write.month(told.month))}>
          <p>
            <b>{write.month(told.month)}</b>
            {told.month === breakdown.dearest?.month && words.theDearestMonth}: {write.money(told.amount, currency)}
          </p>
          <ul className="sentences">
            {monthSentences(
              priced.priced,
              { candidate: figure.candidate, month: months.indexOf(told.month), bucket },
              (decimal) => write.number(decimal),
              decimal(scale),
            ).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
          <HowLink rule={ruleOf(bucket)} />
        </section>
      )}
      <details>
        <summary>{words.anotherMonth}</summary>
        <DataTable
          hasOwnLook
          className="month-list"
          hideHead
          frame={null}
          rows={breakdown.byMonth}
          keyOf={({ month }) => month}
          columns={[
            {
              head: words.month,
              kind: 'names-row',
              cell: ({ month }) => (
                <button type="button" className="figure" onClick={() => setChosen(month)}>
                  {write.month(month)}
                </button>
              ),
            },
            { head: words.amount, cell: ({ amount }) => write.money(amount, currency) },
          ]}
        />
      </details>
    </>
  );
}
