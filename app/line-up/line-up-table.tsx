import { useRef, useState } from 'react';
import type { LineUpColumn } from '#core/comparison/line-up';
import type { Bucket } from '#core/pricing/ledger-line';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { firstReason } from '../proposals/reason-words';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import { BucketBar } from './bucket-bar';
import { BucketRows } from './bucket-rows';
import { ColumnHead } from './column-head';
import { FigureButton, type OpenFigure } from './figure-button';
import { Drawn, LineUpRow } from './line-up-row';
import { RoomToGrow, ToFindOut } from './standing-cells';
import { useArranged } from './use-arranged';
import { useVisibleColumns } from './use-visible-columns';

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
  const { columns, pinned, baseline } = useArranged();
  const scroll = useRef<HTMLDivElement>(null);
  const visible = useVisibleColumns(scroll, columns.length, pinned);
  const [opened, setOpened] = useState<ReadonlySet<Bucket>>(new Set());
  const { currency, months } = state.workbench.decision;
  const { leader, buckets } = priced.lineUp;
  const drawn = { columns, pinned, visible, leader };
  const largest = Math.max(...columns.map(({ result }) => Number(result.total)), 1);
  const years = columns[0]?.years.length ?? 0;
  const shown = columns.map(({ id }) => id);
  const figure = (column: LineUpColumn, what: OpenFigure, text: React.ReactNode, label: string) => (
    <FigureButton figure={what} label={`${label}, ${column.label}`} open={open} onOpen={onOpen} text={text} />
  );
  const row = (
    head: string,
    title: string,
    cell: (column: LineUpColumn) => React.ReactNode,
    more: { className?: string; cellClass?: string } = {},
  ) => (
    <LineUpRow
      {...more}
      drawn={drawn}
      head={
        <th scope="row" title={title}>
          {head}
        </th>
      }
      cell={cell}
    />
  );
  const rate = (column: LineUpColumn, kind: 'per-order' | 'of-sales' | 'keep', text: string | null, label: string) =>
    text === null ? <span className="nothing">–</span> : figure(column, { kind: 'figure', candidate: column.id, rate: kind }, text, label);

  return (
    <div className="line-up-scroll" ref={scroll} role="region" aria-label="Candidates side by side" tabIndex={0}>
      <table
        className={`line-up${visible ? ' is-measured' : ''}`}
        aria-colcount={columns.length + 1}
        style={visible ? { width: visible.headWidth + columns.length * visible.columnWidth } : {}}
      >
        <thead>
          <tr>
            <th scope="col" style={visible ? { width: visible.headWidth } : {}}>
              <span className="visually-hidden">What it costs</span>
            </th>
            <Drawn drawn={drawn} skipped={(key, width) => <td key={key} className="skipped" aria-hidden="true" style={{ width }} />}>
              {(column, index, style) => (
                <ColumnHead
                  key={column.id}
                  column={column}
                  index={index}
                  shown={shown}
                  isLeader={column.id === leader?.id}
                  isPinned={index < pinned}
                  style={style}
                  width={visible?.columnWidth}
                  onOpen={() => onOpen({ kind: 'make-up', candidate: column.id })}
                />
              )}
            </Drawn>
          </tr>
        </thead>
        <tbody>
          {row(
            `Total, ${months} months`,
            'Everything over the whole horizon',
            (column) => (
              <>
                {figure(column, { kind: 'figure', candidate: column.id }, <Total column={column} currency={currency} />, 'Total')}
                <span className="difference">{differenceWords(column.difference, column.id === leader?.id, write)}</span>
                {!column.result.usable && <small className="cannot">{firstReason(column.result, write.month)}</small>}
              </>
            ),
            { className: 'total-row' },
          )}
          <LineUpRow
            drawn={drawn}
            className="bar-row"
            head={
              <th scope="row">
                <span className="visually-hidden">Make-up of the total</span>
              </th>
            }
            cell={(column) => <BucketBar column={column} buckets={buckets} largest={largest} />}
          />
          {buckets.map((bucket) => (
            <BucketRows
              key={bucket}
              bucket={bucket}
              drawn={drawn}
              currency={currency}
              isOpen={opened.has(bucket)}
              open={open}
              onOpen={onOpen}
              onToggle={() => setOpened(new Set(opened.has(bucket) ? [...opened].filter((one) => one !== bucket) : [...opened, bucket]))}
            />
          ))}
          {years > 1 &&
            Array.from({ length: years }, (_, year) => {
              const name = YEARS[year] ?? `Year ${year + 1}`;
              return (
                <LineUpRow
                  key={year}
                  drawn={drawn}
                  className={year === 0 ? 'group-start' : ''}
                  head={<th scope="row">{name}</th>}
                  cell={(column) => (
                    <>
                      {figure(column, { kind: 'figure', candidate: column.id, year }, write.whole(column.years[year] ?? '0'), name)}
                      {year > 0 && <YearChange percent={column.yearChange[year - 1] ?? null} />}
                    </>
                  )}
                />
              );
            })}
          {row(
            'Per order',
            'The total divided by the orders of the whole horizon',
            (column) => rate(column, 'per-order', column.result.perOrder && write.money(column.result.perOrder, currency), 'Per order'),
            { className: 'group-start' },
          )}
          {row('Of sales', 'The total in percent of all sales', (column) =>
            rate(column, 'of-sales', column.result.shareOfSales && write.percent(column.result.shareOfSales), 'Of sales'),
          )}
          {row('What is left to you', 'Sales without sales tax and refunds, times the margin, minus this total', (column) =>
            rate(column, 'keep', write.whole(column.result.keep), 'What is left to you'),
          )}
          {row(
            'Room to grow',
            "How long the plan's limits hold at expected sales",
            (column) => (
              <RoomToGrow column={column} months={months} />
            ),
            { cellClass: 'words' },
          )}
          {row(
            'To find out',
            'What the price sheets do not say',
            (column) => (
              <ToFindOut column={column} />
            ),
            { cellClass: 'words' },
          )}
        </tbody>
      </table>
      {baseline && baseline.id !== leader?.id && <p className="quiet baseline-note">Differences are to {baseline.label}.</p>}
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

/** What stands beneath a total: how far it is from the one it is set against. */
function differenceWords(difference: string | null, isLeader: boolean, write: Writer): string {
  if (difference === null) return isLeader ? 'cheapest' : 'baseline';
  return `${write.difference(difference)}${isLeader ? ', cheapest' : ''}`;
}
