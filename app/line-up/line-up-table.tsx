import { Fragment, type ReactNode } from 'react';
import { candidateSummary } from '#core/decision/candidates';
import type { LineUpColumn } from '#core/comparison/line-up';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { firstReason } from '../proposals/reason-words';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import { BUCKET_NAMES } from './bucket-names';
import { BucketBar } from './bucket-bar';
import { isSameFigure, type OpenFigure } from './figure';
import { RoomToGrow, ToFindOut } from './standing-cells';

const YEARS = ['First year', 'Second year', 'Third year', 'Fourth year', 'Fifth year'];

interface LineUpTableProps {
  open: OpenFigure | null;
  onOpen(figure: OpenFigure): void;
}

/** The candidates side by side: bottom line first, then where it comes from. */
export function LineUpTable({ open, onOpen }: LineUpTableProps) {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const write = useWriter();
  const { decision } = state.bench;
  const { currency, months } = decision;
  const { columns, leader, buckets } = priced.lineUp;
  const largest = Math.max(...columns.map(({ result }) => Number(result.total)), 1);
  const years = columns[0]?.years.length ?? 0;

  const cell = (column: LineUpColumn, content: ReactNode, className = '') => (
    <td key={column.id} className={`${className} ${column === leader ? 'is-leader' : ''} ${column.result.usable ? '' : 'not-usable'}`}>
      {content}
    </td>
  );
  const figure = (column: LineUpColumn, what: OpenFigure, text: ReactNode, label: string) => (
    <button type="button" className="figure" aria-expanded={isSameFigure(open, what)} aria-label={`${label}, ${column.label}: how it came about`} onClick={() => onOpen(what)}>
      {text}
    </button>
  );

  return (
    <div className="line-up-scroll" role="region" aria-label="Candidates side by side" tabIndex={0}>
      <table className="line-up">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">What it costs</span>
            </th>
            {columns.map((column) => {
              const candidate = decision.candidates.find(({ id }) => id === column.id);
              return (
                <th scope="col" key={column.id} className={column === leader ? 'is-leader' : ''}>
                  <button type="button" className="candidate-head" onClick={() => onOpen({ kind: 'make-up', candidate: column.id })} title="What this candidate is put together from">
                    <CandidateTag id={column.id} />
                    <b>{column.label}</b>
                    <small>{candidate && candidateSummary(state.bench, candidate)}</small>
                  </button>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          <tr className="total-row">
            <th scope="row">Total, {months} months</th>
            {columns.map((column) =>
              cell(
                column,
                <>
                  {figure(column, { kind: 'figure', candidate: column.id }, <Total column={column} currency={currency} />, 'Total')}
                  <span className="difference">{column === leader ? 'cheapest' : column.difference ? write.difference(column.difference) : ''}</span>
                  {!column.result.usable && <small className="cannot">{firstReason(column.result, write.month)}</small>}
                </>,
              ),
            )}
          </tr>
          <tr className="bar-row">
            <th scope="row">
              <span className="visually-hidden">Make-up of the total</span>
            </th>
            {columns.map((column) => cell(column, <BucketBar column={column} buckets={buckets} largest={largest} />))}
          </tr>
          {buckets.map((bucket) => (
            <tr key={bucket}>
              <th scope="row" title={BUCKET_NAMES[bucket].meaning}>
                <i className={`bucket-mark bucket-${bucket}`} aria-hidden="true" />
                {BUCKET_NAMES[bucket].name}
              </th>
              {columns.map((column) => {
                const amount = column.result.buckets[bucket];
                return cell(
                  column,
                  amount === undefined ? (
                    <span className="nothing">–</span>
                  ) : (
                    figure(column, { kind: 'figure', candidate: column.id, bucket }, write.money(amount, currency), BUCKET_NAMES[bucket].name)
                  ),
                );
              })}
            </tr>
          ))}
          {years > 1 &&
            Array.from({ length: years }, (_, year) => (
              <tr key={year} className={year === 0 ? 'group-start' : ''}>
                <th scope="row">{YEARS[year] ?? `Year ${year + 1}`}</th>
                {columns.map((column) =>
                  cell(
                    column,
                    <Fragment>
                      {figure(column, { kind: 'figure', candidate: column.id, year }, write.whole(column.years[year] ?? '0'), YEARS[year] ?? `Year ${year + 1}`)}
                      {year > 0 && <YearChange percent={column.yearChange[year - 1] ?? null} />}
                    </Fragment>,
                  ),
                )}
              </tr>
            ))}
          <tr className="group-start">
            <th scope="row" title="The total divided by the orders of the whole horizon">
              Per order
            </th>
            {columns.map((column) => cell(column, column.result.perOrder === null ? <span className="nothing">–</span> : write.money(column.result.perOrder, currency)))}
          </tr>
          <tr>
            <th scope="row" title="The total in percent of all sales">
              Of sales
            </th>
            {columns.map((column) => cell(column, column.result.shareOfSales === null ? <span className="nothing">–</span> : write.percent(column.result.shareOfSales)))}
          </tr>
          <tr>
            <th scope="row" title="Sales without sales tax and refunds, times the margin, minus this total">
              What is left to you
            </th>
            {columns.map((column) => cell(column, write.whole(column.result.keep)))}
          </tr>
          <tr>
            <th scope="row" title="How long the plan's limits hold at expected sales">
              Room to grow
            </th>
            {columns.map((column) => cell(column, <RoomToGrow column={column} months={months} />, 'words'))}
          </tr>
          <tr>
            <th scope="row" title="What the price sheets do not say">
              To find out
            </th>
            {columns.map((column) => cell(column, <ToFindOut column={column} />, 'words'))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

function Total({ column, currency }: { column: LineUpColumn; currency: string }) {
  const write = useWriter();
  const text = write.money(column.result.total, currency);
  const at = text.lastIndexOf(write.decimalSign);
  return (
    <span className="total">
      {column.atLeast && <small className="at-least">at least</small>}
      {at < 0 ? text : text.slice(0, at)}
      {at >= 0 && <small>{text.slice(at)}</small>}
    </span>
  );
}

function YearChange({ percent }: { percent: string | null }) {
  const write = useWriter();
  if (percent === null || Math.abs(Number(percent)) < 0.5) return null;
  const up = Number(percent) > 0;
  return (
    <small className="year-change">
      <span aria-label={up ? 'up' : 'down'}>{up ? '▲' : '▼'}</span> {write.whole(percent.replace('-', ''))} %
    </small>
  );
}
