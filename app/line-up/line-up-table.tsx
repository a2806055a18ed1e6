import { useRef, useState } from 'react';
import type { Bucket } from '#core/pricing/ledger-line';
import { useMovedColumns } from '../motion/use-moved-columns';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import { BucketRows } from './bucket-rows';
import { ColumnDrag } from './column-drag';
import { ColumnHead } from './column-head';
import type { OpenFigure } from './figure-button';
import { Drawn, type DrawnColumns } from './line-up-row';
import { RateRows, StandingRows, TotalRows, YearRows } from './line-up-rows';
import { useArranged } from './use-arranged';
import { useVisibleColumns } from './use-visible-columns';
import { lineUpTable as words } from './words/line-up-table';

interface LineUpTableProps {
  open: OpenFigure | null;
  onOpen(figure: OpenFigure): void;
}

/** The candidates side by side: bottom line first, then where it comes from. */
export function LineUpTable({ open, onOpen }: LineUpTableProps) {
  const { currency } = useWorkbench().state.workbench.decision;
  const { scale, priced } = useLevel();
  const { leader, buckets } = priced.lineUp;
  const { columns, pinned, baseline } = useArranged(open?.kind === 'make-up' ? open.candidate : undefined);
  const scroll = useRef<HTMLDivElement>(null);
  const table = useRef<HTMLTableElement>(null);
  useMovedColumns(table, columns.map(({ id }) => id).join(' '), scale);
  const visible = useVisibleColumns(scroll, columns.length, pinned);
  const [opened, setOpened] = useState<readonly Bucket[]>([]);
  const toggle = (bucket: Bucket) => setOpened(opened.includes(bucket) ? opened.filter((one) => one !== bucket) : [...opened, bucket]);
  const drawn = { columns, pinned, visible, leader };
  const rows = { drawn, open, onOpen };
  return (
    <ColumnDrag columns={columns}>
      <div className="line-up-scroll" ref={scroll} role="region" aria-label={words.candidatesSideBySide} tabIndex={0}>
        <table
          ref={table}
          className={`line-up${visible ? ' is-measured' : ''}`}
          aria-colcount={columns.length + 1}
          style={visible ? { width: visible.headWidth + columns.length * visible.columnWidth } : {}}
        >
          <LineUpHead drawn={drawn} onOpen={onOpen} />
          <tbody>
            <TotalRows {...rows} buckets={buckets} />
            {buckets.map((bucket) => (
              <BucketRows
                key={bucket}
                {...rows}
                bucket={bucket}
                currency={currency}
                isOpen={opened.includes(bucket)}
                onToggle={() => toggle(bucket)}
              />
            ))}
            <YearRows {...rows} />
            <RateRows {...rows} />
            <StandingRows drawn={drawn} />
          </tbody>
        </table>
        {baseline && baseline.id !== leader?.id && <p className="quiet baseline-note">{words.differencesAreTo(baseline.label)}</p>}
      </div>
    </ColumnDrag>
  );
}

/** The names of the candidates above their columns. */
function LineUpHead({ drawn, onOpen }: { drawn: DrawnColumns } & Pick<LineUpTableProps, 'onOpen'>) {
  const { columns, pinned, visible, leader } = drawn;
  const shown = columns.map(({ id }) => id);
  return (
    <thead>
      <tr>
        <th scope="col" style={visible ? { width: visible.headWidth } : {}}>
          <span className="visually-hidden">{words.whatItCosts}</span>
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
  );
}
