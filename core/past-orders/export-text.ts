/** Ways in which exports are encoded. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** A file that cannot be an export of orders, in words that say what to do. */
export class RefusedExport extends Error {}

/** The text is not UTF-8 after all: it has to be read again from the beginning, as Windows-1252. */
export class NotUtf8 extends Error {}

const SAMPLE = 4096;

/** Other kinds of files by their first bytes. */
const OTHERS: ReadonlyArray<readonly [bytes: readonly number[], problem: string]> = [
  [[0x50, 0x4b, 0x03, 0x04], 'This is a packed file or a workbook. Unpack it, or save the workbook as CSV, then drop that file here.'],
  [[0x1f, 0x8b], 'This is a packed file. Unpack it, then drop the CSV file here.'],
  [[0x25, 0x50, 0x44, 0x46], 'This is a PDF. Export your orders from the shop as CSV, then drop that file here.'],
  [[0xd0, 0xcf, 0x11, 0xe0], 'This is a workbook. Save it as CSV, then drop that file here.'],
];

/**
 * How a file is encoded, by its first bytes.
 *
 * @throws RefusedExport where it is a file of another kind
 */
export function encodingOf(start: Uint8Array): Encoding {
  const other = OTHERS.find(([bytes]) => bytes.every((byte, at) => start[at] === byte));
  if (other) throw new RefusedExport(other[1]);
  if (start[0] === 0xff && start[1] === 0xfe) return 'utf-16le';
  if (start[0] === 0xfe && start[1] === 0xff) return 'utf-16be';
  const sample = start.subarray(0, SAMPLE);
  const zeros = [0, 0];
  sample.forEach((byte, at) => byte === 0 && (zeros[at % 2] = (zeros[at % 2] ?? 0) + 1));
  const [even = 0, odd = 0] = zeros;
  if (odd > sample.length / 4 && even === 0) return 'utf-16le';
  if (even > sample.length / 4 && odd === 0) return 'utf-16be';
  if (even + odd > 0) throw new RefusedExport('This is not a text file. Export your orders as CSV, then drop that file here.');
  return 'utf-8';
}

/**
 * A whole file as text; what is no UTF-8 is taken for Windows-1252.
 *
 * @throws RefusedExport where it is a file of another kind
 */
export function wholeText(bytes: Uint8Array): string {
  const encoding = encodingOf(bytes);
  try {
    return new TextDecoder(encoding, { fatal: encoding === 'utf-8' }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Decodes bytes that come in pieces, and cuts the text where a record ends. */
export class RecordCutter {
  private readonly decoder: TextDecoder;
  private rest = '';

  constructor(private readonly encoding: Encoding) {
    this.decoder = new TextDecoder(encoding, { fatal: encoding === 'utf-8' });
  }

  /**
   * The whole records up to here; what comes after the last is kept for the next piece.
   *
   * @throws NotUtf8
   */
  push(bytes: Uint8Array, isLast: boolean): string {
    const text = this.rest + this.decoded(bytes, isLast);
    const end = isLast ? text.length : endOfRecords(text);
    this.rest = text.slice(end);
    return text.slice(0, end);
  }

  private decoded(bytes: Uint8Array, isLast: boolean): string {
    try {
      return this.decoder.decode(bytes, { stream: !isLast });
    } catch (error) {
      if (this.encoding === 'utf-8') throw new NotUtf8('not UTF-8', { cause: error });
      throw error;
    }
  }
}

/** Behind the last line break that is not within quotes. */
function endOfRecords(text: string): number {
  let [isQuoted, end] = [false, 0];
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code === 34) isQuoted = !isQuoted;
    else if (code === 10 && !isQuoted) end = at + 1;
  }
  return end;
}

const SEPARATORS = [',', ';', '\t', '|'] as const;
const LINES_LOOKED_AT = 20;

/** The separator that stands equally often in most of the first lines. */
export function separatorOf(text: string): string {
  const lines = text
    .split(/\r?\n/, LINES_LOOKED_AT)
    .map((line) => line.replace(/"[^"]*"/g, ''))
    .filter((line) => line !== '');
  const scoreOf = (separator: string) => {
    const counts = lines.map((line) => line.split(separator).length - 1);
    const most = Math.max(...counts);
    return most === 0 ? 0 : most * counts.filter((count) => count === most).length;
  };
  return [...SEPARATORS].sort((a, b) => scoreOf(b) - scoreOf(a))[0] ?? ',';
}
