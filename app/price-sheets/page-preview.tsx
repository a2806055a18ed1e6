import { useEffect, useMemo, useRef } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import { gridRows } from '#core/price-sheet/grid-rows';
import { addonsOf, columnsOf, type Part } from '#core/price-sheet/parts';
import type { AppliedReading } from '#core/price-sheet/apply-reading';
import { useCells } from './use-cells';

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
    <section ref={section} className="page-preview" aria-label="The sheet as it would stand">
      <PreviewTable sheet={sheet} columns={columnsOf(sheet)} linesAt={linesAt} place={place} onShow={onShow} label="Plans" />
      {addons.length > 0 && <PreviewTable sheet={sheet} columns={addons} linesAt={linesAt} place={place} onShow={onShow} label="Add-ons" />}
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
    <div className="preview-scroll">
      <table className="preview-table" aria-label={label}>
        <thead>
          <tr>
            <td />
            {columns.map((part) => (
              <th key={part.id} scope="col">
                {part.label || sheetName(sheet)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ row, own }) => (
            <tr key={row.key}>
              <th scope="row">
                {row.title}
                {row.note !== '' && <small>{row.note}</small>}
              </th>
              {own.map((cell, index) => {
                const isFromPage = cell.place !== null && linesAt.has(cell.place);
                const isActive = cell.place !== null && cell.place === place;
                return (
                  <td key={columns[index]?.id} className={`is-${cell.state}${isActive ? ' is-active' : ''}`}>
                    {isFromPage && cell.place !== null ? (
                      <button type="button" aria-pressed={isActive} onClick={() => onShow(cell.place ?? '')}>
                        {cell.text || '–'}
                      </button>
                    ) : (
                      <span>{cell.text || '–'}</span>
                    )}
                    {cell.notes.map((note) => (
                      <small key={note}>{note}</small>
                    ))}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function sheetName(sheet: PriceSheet): string {
  return sheet.kind === 'processor' ? sheet.processor.label : '';
}
