import { useMemo } from 'react';
import { bucketLines } from '#core/comparison/bucket-lines';
import type { LineUpColumn } from '#core/comparison/line-up';
import type { Bucket } from '#core/pricing/ledger-line';
import { useWriter } from '../locale/locale';
import { useLevel } from '../workbench/workbench-context';
import { BUCKET_NAMES } from './bucket-names';
import { FigureButton, type OpenFigure } from './figure-button';
import { type DrawnColumns, LineUpRow } from './line-up-row';
import { sourceWords } from './source-words';

interface BucketRowsProps {
  bucket: Bucket;
  drawn: DrawnColumns;
  currency: string;
  isOpen: boolean;
  open: OpenFigure | null;
  onToggle(): void;
  onOpen(figure: OpenFigure): void;
}

/** A bucket of the totals, and on request the price sheets' lines behind it. */
export function BucketRows({ bucket, drawn, currency, isOpen, open, onToggle, onOpen }: BucketRowsProps) {
  const write = useWriter();
  const { name, meaning } = BUCKET_NAMES[bucket];
  return (
    <>
      <LineUpRow
        drawn={drawn}
        head={
          <th scope="row" title={meaning}>
            <button type="button" className="row-toggle" aria-expanded={isOpen} onClick={onToggle}>
              <i className={`bucket-mark bucket-${bucket}`} aria-hidden="true" />
              {name}
            </button>
          </th>
        }
        cell={(column) => {
          const amount = column.result.buckets[bucket];
          if (amount === undefined) return <span className="nothing">–</span>;
          return (
            <FigureButton
              figure={{ kind: 'figure', candidate: column.id, bucket }}
              label={`${name}, ${column.label}`}
              open={open}
              onOpen={onOpen}
              text={write.money(amount, currency)}
            />
          );
        }}
      />
      {isOpen && <OpenedRows bucket={bucket} drawn={drawn} currency={currency} open={open} onOpen={onOpen} />}
    </>
  );
}

/** One row for each name that stands on a price sheet within the bucket. */
function OpenedRows({ bucket, drawn, currency, open, onOpen }: Pick<BucketRowsProps, 'bucket' | 'drawn' | 'currency' | 'open' | 'onOpen'>) {
  const { priced } = useLevel();
  const write = useWriter();
  const { columns, pinned, visible } = drawn;
  // Only those in view are taken apart; the others follow when they come into it.
  const shown = visible ? [...columns.slice(0, pinned), ...columns.slice(visible.from, visible.to)] : columns;
  const ids = shown.map(({ id }) => id).join(' ');
  const linesOf = useMemo(() => {
    const { pricing, candidates } = priced.priced;
    return new Map(
      ids.split(' ').flatMap((id) => {
        const one = candidates.find(({ candidate }) => candidate.id === id);
        return one
          ? [
              [
                id,
                bucketLines(one, bucket, currency).map((line) => ({
                  ...line,
                  words: sourceWords(pricing, one.candidate, line.source, write),
                })),
              ] as const,
            ]
          : [];
      }),
    );
  }, [priced, ids, bucket, currency, write]);
  const names = [...new Set([...linesOf.values()].flatMap((lines) => lines.map(({ words }) => words.name)))];
  const cell = (name: string) => (column: LineUpColumn) => {
    const lines = (linesOf.get(column.id) ?? []).filter(({ words }) => words.name === name);
    if (lines.length === 0) return <span className="nothing">–</span>;
    return lines.map(({ source, amount, words }) => (
      <span key={JSON.stringify(source)} className="opened-line">
        <FigureButton
          figure={{ kind: 'figure', candidate: column.id, bucket }}
          label={`${name}, ${column.label}`}
          open={open}
          onOpen={onOpen}
          text={write.money(amount, currency)}
        />
        <small>{words.rate}</small>
      </span>
    ));
  };
  return names.map((name) => (
    <LineUpRow key={name} drawn={drawn} className="opened-row" head={<th scope="row">{name}</th>} cell={cell(name)} />
  ));
}
