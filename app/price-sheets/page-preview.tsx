import { useEffect, useMemo, useRef } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { GridCell } from '#core/price-sheet/grid-cell';
import { type GridRow, gridRows } from '#core/price-sheet/grid-rows';
import { addonsOf, columnsOf, type Part } from '#core/price-sheet/parts';
import type { AppliedReading } from '#core/price-sheet/apply-reading';
import { DataTable } from '../components/data-table';
import { useCells } from './use-cells';
import { pagePreview as words } from './words/page-preview';

interface PagePreviewProps {
  sheet: PriceSheet;
  linesAt: AppliedReading['linesAt'];
  place: string | null;
  onShow(place: string): void;
}

/** The sheet as it would stand: what the page states in black, with a way to the lines it rests on. */
export function PagePreview({ sheet, linesAt, place, onShow }: PagePreviewProps) {
  const addons = addonsOf(sheet);
  const section = useRef<HTMLElement>(null);
  // A line that is chosen leads to its figure.
  useEffect(() => {
    // Newer browsers answer with a promise, which an effect must not give back.
    void section.current?.querySelector('td.is-active')?.scrollIntoView({ block: 'nearest' });
  }, [place]);
  return (
    <section ref={section} className="page-preview" aria-label={words.theSheetAsItWould}>
      <PreviewTable sheet={sheet} columns={columnsOf(sheet)} linesAt={linesAt} place={place} onShow={onShow} label={words.plans} />
      {addons.length > 0 && (
        <PreviewTable sheet={sheet} columns={addons} linesAt={linesAt} place={place} onShow={onShow} label={words.addOns} />
      )}
    </section>
  );
}

function PreviewTable({ sheet, columns, linesAt, place, onShow, label }: PagePreviewProps & { columns: readonly Part[]; label: string }) {
  const cells = useCells();
  const rows = useMemo(
    () =>
      gridRows(sheet, [], columns)
        .map((row) => ({ row, own: columns.map((part) => cells.cell(sheet, part, row)) }))
        .filter(({ own }) => own.some(({ state }) => state !== 'empty')),
    [sheet, columns, cells],
  );
  return (
    <DataTable
      label={label}
      columns={[
        { key: 'row', head: null, kind: 'names-row', cell: ({ row }) => <RowName title={row.title} note={row.note} /> },
        ...columns.map((part, index) => ({
          key: part.id,
          head: part.label || sheetName(sheet),
          cellClass: ({ own }: PreviewRow) => `is-${own[index]?.state ?? 'empty'}${own[index]?.place === place ? ' is-active' : ''}`,
          cell: ({ own }: PreviewRow) => <PreviewCell cell={own[index]} place={place} linesAt={linesAt} onShow={onShow} />,
        })),
      ]}
      rows={rows}
      keyOf={({ row }) => row.key}
      className="preview-table"
      hasOwnLook
      frame="preview-scroll"
    />
  );
}

interface PreviewRow {
  readonly row: GridRow;
  readonly own: readonly GridCell[];
}

function RowName({ title, note }: { title: string; note: string }) {
  return (
    <>
      {title}
      {note !== '' && <small>{note}</small>}
    </>
  );
}

/** A figure of the sheet to be; one that stands on the page leads to its line. */
function PreviewCell({
  cell,
  place,
  linesAt,
  onShow,
}: { cell: GridCell | undefined } & Pick<PagePreviewProps, 'place' | 'linesAt' | 'onShow'>) {
  if (!cell) return null;
  const text = cell.text || '–';
  return (
    <>
      {linesAt.has(cell.place) ? (
        <button type="button" aria-pressed={cell.place === place} onClick={() => onShow(cell.place)}>
          {text}
        </button>
      ) : (
        <span>{text}</span>
      )}
      {cell.notes.map((note) => (
        <small key={note}>{note}</small>
      ))}
    </>
  );
}

function sheetName(sheet: PriceSheet): string {
  return sheet.kind === 'processor' ? sheet.processor.label : '';
}
