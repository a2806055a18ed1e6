import { deflateSync, inflateSync } from 'node:zlib';

/** What is stored of a revision cannot be read back: the file was damaged, or written by something else. */
export class UnreadableContentError extends Error {
  override name = 'UnreadableContentError';
}

/** A revision's text as it is stored; `base` is the revision it is written against, null where it stands by itself. */
export interface StoredContent {
  readonly content: Buffer;
  readonly base: number | null;
}

/**
 * Deflate finds what stands up to 32 kB back. A text is therefore written in parts, each against the same stretch of
 * the base and a little around it.
 */
const PART_BYTES = 16_384;
const AROUND_BYTES = 7_500;
const LENGTH_BYTES = 4;

/** A text that stands by itself, compressed; its checksum (Adler-32, RFC 1950) is part of it. */
export function packWhole(text: string): Buffer {
  return deflateSync(text);
}

/** A text compressed against another one: a few hundred bytes where they differ in a figure. */
export function packAgainst(text: string, base: string): Buffer {
  const [bytes, baseBytes] = [Buffer.from(text), Buffer.from(base)];
  const pieces: Buffer[] = [];
  for (let start = 0; start < bytes.length; start += PART_BYTES) {
    const piece = deflateSync(bytes.subarray(start, start + PART_BYTES), { dictionary: around(baseBytes, start) });
    const length = Buffer.alloc(LENGTH_BYTES);
    length.writeUInt32BE(piece.length);
    pieces.push(length, piece);
  }
  return Buffer.concat(pieces);
}

/**
 * The text of stored content.
 *
 * @param base - text of the revision it was written against; null where it stands by itself
 * @throws UnreadableContentError if it does not come out as it went in
 */
export function unpack(content: Uint8Array, base: string | null): string {
  try {
    return base === null ? inflateSync(content).toString('utf8') : unpackAgainst(Buffer.from(content), Buffer.from(base));
  } catch (cause) {
    throw new UnreadableContentError('What is stored of this revision is damaged', { cause });
  }
}

function unpackAgainst(content: Buffer, base: Buffer): string {
  const parts: Buffer[] = [];
  for (let at = 0; at < content.length;) {
    const end = at + LENGTH_BYTES + content.readUInt32BE(at);
    if (end > content.length) throw new RangeError('A part is cut off');
    parts.push(inflateSync(content.subarray(at + LENGTH_BYTES, end), { dictionary: around(base, parts.length * PART_BYTES) }));
    at = end;
  }
  return Buffer.concat(parts).toString('utf8');
}

/** The stretch of a base that a part starting there is likely to repeat; never empty, since deflate wants a dictionary. */
function around(base: Buffer, start: number): Buffer {
  const stretch = base.subarray(Math.max(0, start - AROUND_BYTES), start + PART_BYTES + AROUND_BYTES);
  return stretch.length > 0 ? stretch : Buffer.from('{}');
}
