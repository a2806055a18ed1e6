import type { CheapestMap } from '#core/what-if/map';
import type { ChartColours } from '../../components/chart-colours';

/** Pixels for each point, so that boundaries are thin lines. */
const ZOOM = 4;

/** Paints the fields of a map, pale, with boundaries between them; nobody's field is hatched. */
export function mapPicture(
  { columns, rows, winners, ids }: CheapestMap,
  colourOf: (id: string) => string,
  colours: ChartColours,
): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = columns * ZOOM;
  canvas.height = rows * ZOOM;
  const brush = canvas.getContext('2d');
  if (!brush) return canvas;
  brush.fillStyle = colours.sheet;
  brush.fillRect(0, 0, canvas.width, canvas.height);
  const winnerAt = (column: number, row: number) => winners[row * columns + column] ?? -1;
  const top = (row: number) => (rows - 1 - row) * ZOOM;
  const nobody = hatched(brush, colours);
  brush.globalAlpha = 0.34;
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const id = ids[winnerAt(column, row)];
      brush.fillStyle = id === undefined ? nobody : colourOf(id);
      brush.fillRect(column * ZOOM, top(row), ZOOM, ZOOM);
    }
  brush.globalAlpha = 1;
  brush.fillStyle = colours.ink;
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const winner = winnerAt(column, row);
      if (column + 1 < columns && winnerAt(column + 1, row) !== winner) brush.fillRect((column + 1) * ZOOM - 1, top(row), 2, ZOOM);
      if (row + 1 < rows && winnerAt(column, row + 1) !== winner) brush.fillRect(column * ZOOM, top(row) - 1, ZOOM, 2);
    }
  return canvas;
}

function hatched(brush: CanvasRenderingContext2D, colours: ChartColours): CanvasPattern | string {
  const tile = document.createElement('canvas');
  tile.width = tile.height = 8;
  const line = tile.getContext('2d');
  if (!line) return colours.line;
  line.strokeStyle = colours.quiet;
  line.beginPath();
  line.moveTo(0, 8);
  line.lineTo(8, 0);
  line.stroke();
  return brush.createPattern(tile, 'repeat') ?? colours.line;
}
