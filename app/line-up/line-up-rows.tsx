import { type ReactNode, useRef } from 'react';
import type { LineUpColumn } from '#core/comparison/line-up';
import type { Bucket } from '#core/pricing/ledger-line';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { useChangedFigure } from '../motion/use-changed-figure';
import { firstReason } from '../proposals/reason-words';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import { BucketBar } from './bucket-bar';
import { FigureButton, type OpenFigure } from './figure-button';
import { type DrawnColumns, LineUpRow } from './line-up-row';
import { RoomToGrow, ToFindOut } from './standing-cells';
import { WayLine } from './way-line';
import type { ComparedBy } from '#core/decision-file/compared-by';
import { COMPARED_WORDS } from '../locale/compared-words';
import { lineUpRows as texts } from './words/line-up-rows';

/** What rows of the line-up are drawn from. */
export interface RowsProps {
  readonly drawn: DrawnColumns;
  /** The figure that is open beside the table. */
  readonly open: OpenFigure | null;
  onOpen(figure: OpenFigure): void;
}

/** A figure of a column that opens how it came about. */
function Opening({
  column,
  what,
  label,
  text,
  open,
  onOpen,
}: Omit<RowsProps, 'drawn'> & {
  column: LineUpColumn;
  what: Omit<Extract<OpenFigure, { kind: 'figure' }>, 'kind' | 'candidate'>;
  label: string;
  text: ReactNode;
}) {
  const figure = { kind: 'figure', candidate: column.id, ...what } as const;
  return <FigureButton figure={figure} label={`${label}, ${column.label}`} open={open} onOpen={onOpen} text={text} />;
}

function RowName({ name, meaning }: { name: string; meaning?: string }) {
  return (
    <th scope="row" title={meaning}>
      {name}
    </th>
  );
}

/** The bottom line, and the bar of what it is made of. */
export function TotalRows({ drawn, buckets, open, onOpen }: RowsProps & { readonly buckets: readonly Bucket[] }) {
  const { decision } = useWorkbench().state.workbench;
  const write = useWriter();
  const { columns, leader } = drawn;
  const { by } = useLevel().priced.lineUp;
  const largest = Math.max(...columns.map(({ result }) => Number(result.total)), 1);
  return (
    <>
      <LineUpRow
        drawn={drawn}
        className="total-row"
        head={<RowName name={texts.totalOfMonths(decision.months)} meaning={texts.everythingOverTheWhole} />}
        cell={(column) => (
          <>
            <Opening
              column={column}
              what={{}}
              label={texts.total}
              text={<Total column={column} currency={decision.currency} />}
              open={open}
              onOpen={onOpen}
            />
            <span className="difference">{differenceWords(column, by, column.id === leader?.id, write)}</span>
            <WayLine column={column} />
            {decision.basis !== 'spread' && Number(column.result.prepaid) > 0 && (
              <small className="prepaid" title={texts.paidWithinTheHorizon}>
                {texts.ofItForLater(write.whole(column.result.prepaid))}
              </small>
            )}
            {!column.result.usable && <small className="cannot">{firstReason(column.result, write.month)}</small>}
          </>
        )}
      />
      <LineUpRow
        drawn={drawn}
        className="bar-row"
        head={
          <th scope="row">
            <span className="visually-hidden">{texts.makeUpOfTheTotal}</span>
          </th>
        }
        cell={(column) => <BucketBar column={column} buckets={buckets} largest={largest} />}
      />
    </>
  );
}

const YEARS = [texts.firstYear, texts.secondYear, texts.thirdYear, texts.fourthYear, texts.fifthYear];

/** What each year comes to, where there is more than one. */
export function YearRows({ drawn, open, onOpen }: RowsProps) {
  const write = useWriter();
  const { months } = useWorkbench().state.workbench.decision;
  const years = drawn.columns[0]?.years.length ?? 0;
  if (years < 2) return null;
  return Array.from({ length: years }, (_, year) => {
    const inYear = Math.min(12, months - year * 12);
    const name = `${YEARS[year] ?? texts.year(year + 1)}${inYear < 12 ? texts.partOfAYear(inYear) : ''}`;
    return (
      <LineUpRow
        key={year}
        drawn={drawn}
        className={year === 0 ? 'group-start' : ''}
        head={<RowName name={name} />}
        cell={(column) => (
          <>
            <Opening
              column={column}
              what={{ year }}
              label={name}
              text={write.whole(column.years[year] ?? '0')}
              open={open}
              onOpen={onOpen}
            />
            {year > 0 && <YearChange percent={column.yearChange[year - 1] ?? null} />}
          </>
        )}
      />
    );
  });
}

type Rate = NonNullable<Extract<OpenFigure, { kind: 'figure' }>['rate']>;

/** What the total is per order and of sales, and what is left. */
export function RateRows({ drawn, open, onOpen }: RowsProps) {
  const { currency } = useWorkbench().state.workbench.decision;
  const write = useWriter();
  const row = (rate: Rate, name: string, meaning: string, text: (column: LineUpColumn) => string | null) => (
    <LineUpRow
      drawn={drawn}
      className={rate === 'per-order' ? 'group-start' : ''}
      head={<RowName name={name} meaning={meaning} />}
      cell={(column) => {
        const words = text(column);
        if (words === null) return <span className="nothing">–</span>;
        return <Opening column={column} what={{ rate }} label={name} text={words} open={open} onOpen={onOpen} />;
      }}
    />
  );
  return (
    <>
      {row('per-order', texts.perOrder, texts.theTotalDividedByTheOrders, ({ result: { perOrder } }) =>
        perOrder === null ? null : write.money(perOrder, currency),
      )}
      {row('of-sales', texts.ofSales, texts.theTotalInPercent, ({ result: { shareOfSales } }) =>
        shareOfSales === null ? null : write.share(shareOfSales),
      )}
      {row('keep', texts.whatIsLeftToYou, texts.salesWithoutSalesTax, ({ result }) => write.whole(result.keep))}
    </>
  );
}

/** How far the plans go, and what is open about them. */
export function StandingRows({ drawn }: Pick<RowsProps, 'drawn'>) {
  const { months } = useWorkbench().state.workbench.decision;
  return (
    <>
      <LineUpRow
        drawn={drawn}
        cellClass="words"
        head={<RowName name="Room to grow" meaning={texts.howLongThePlans} />}
        cell={(column) => <RoomToGrow column={column} months={months} />}
      />
      <LineUpRow
        drawn={drawn}
        cellClass="words"
        head={<RowName name="To find out" meaning={texts.whatThePriceSheets} />}
        cell={(column) => <ToFindOut column={column} />}
      />
    </>
  );
}

function Total({ column, currency }: { column: LineUpColumn; currency: string }) {
  const write = useWriter();
  const text = write.money(column.result.total, currency);
  const at = text.lastIndexOf(write.decimalSign);
  const figure = useRef<HTMLSpanElement>(null);
  useChangedFigure(figure, text, useLevel().scale);
  return (
    <span className="total" ref={figure}>
      {column.atLeast && <small className="at-least">{texts.atLeast}</small>}
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
      <span aria-label={up ? texts.up : texts.down}>{up ? '▲' : '▼'}</span> {write.percent(percent.replace('-', ''), 0)}
    </small>
  );
}

/** What stands beneath a total: how far it is from the one it is set against. */
function differenceWords({ difference, keptDifference }: LineUpColumn, by: ComparedBy, isLeader: boolean, write: Writer): string {
  const { mark } = COMPARED_WORDS[by];
  if (difference === null) return isLeader ? mark : 'baseline';
  const kept = by === 'keep' && keptDifference !== null ? texts.left(write.difference(keptDifference)) : '';
  return `${write.difference(difference)}${kept}${isLeader ? `, ${mark}` : ''}`;
}
