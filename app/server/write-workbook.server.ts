import writeXlsxFile, { type Cell as WrittenCell, type Row } from 'write-excel-file/node';
import type { Cell, NumberFormat, WorkbookSheet } from '#core/workbook/cells';

const FORMATS: Readonly<Record<NumberFormat, string>> = { money: '#,##0.00', number: '0.######', whole: '0' };
/** The paper's colours, so that what can be changed stands out. */
const INPUT = { backgroundColor: '#F5F2EA', borderColor: '#DCD5C6', borderStyle: 'thin' } as const;
const STYLES = {
  head: { fontWeight: 'bold', bottomBorderColor: '#1B2636', bottomBorderStyle: 'thin', wrap: true },
  title: { fontWeight: 'bold', fontSize: 14 },
  quiet: { textColor: '#5C6573' },
  strong: { fontWeight: 'bold' },
} as const;

/** Writes sheets as an XLSX file (ECMA-376). What people typed is always text, never a formula. */
export async function writeWorkbook(sheets: readonly WorkbookSheet[]): Promise<Uint8Array<ArrayBuffer>> {
  const written = await writeXlsxFile(
    sheets.map(({ name, rows, widths, frozen }) => ({
      sheet: name,
      data: rows.map((row): Row => row.map(cellOf)),
      columns: widths.map((width) => ({ width })),
      ...(frozen.rows > 0 ? { stickyRowsCount: frozen.rows } : {}),
      ...(frozen.columns > 0 ? { stickyColumnsCount: frozen.columns } : {}),
    })),
  ).toBuffer();
  return new Uint8Array(written);
}

function cellOf(cell: Cell): WrittenCell {
  if (cell === null) return null;
  switch (cell.kind) {
    case 'text':
      return cell.text === '' && !cell.style ? null : { type: String, value: cell.text, ...(cell.style ? STYLES[cell.style] : {}) };
    case 'number':
      return { type: Number, value: Number(cell.value), format: FORMATS[cell.format ?? 'number'], ...(cell.isInput ? INPUT : {}) };
    case 'formula':
      return {
        type: 'Formula',
        value: `=${cell.formula}`,
        format: FORMATS[cell.format ?? 'number'],
        ...(cell.isStrong ? { fontWeight: 'bold' } : {}),
      };
  }
}
