import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { packAgainst, packWhole, unpack, UnreadableContentError } from './revision-content';

const longText = fc.array(fc.string({ unit: 'grapheme', maxLength: 40 }), { maxLength: 60 }).map((parts) => parts.join('\n').repeat(20));

describe('what is stored of a revision', () => {
  it('comes out as it went in, by itself and against any other', () => {
    fc.assert(
      fc.property(longText, longText, (text, base) => {
        expect(unpack(packWhole(text), null)).toBe(text);
        expect(unpack(packAgainst(text, base), base)).toBe(text);
      }),
      { numRuns: 60 },
    );
  });

  it('takes a tenth at most where two texts differ in a figure, however long they are', () => {
    const figures = (at: number, value: number) =>
      JSON.stringify(
        Array.from({ length: 6_000 }, (_, index) => ({
          id: `row-${(index * 7_919) % 6_007}`,
          price: index === at ? value : (index * 104_729) % 9_973,
        })),
      );
    const [base, changed] = [figures(-1, 0), figures(3_000, 123_456)];
    expect(packAgainst(changed, base).length).toBeLessThan(packWhole(changed).length / 10);
    expect(unpack(packAgainst(changed, base), base)).toBe(changed);
  });

  it('that was damaged is told from what is whole, whichever byte it is', () => {
    const [base, text] = [
      JSON.stringify({ name: 'kites', figures: Array.from({ length: 200 }, (_, at) => at * 31) }),
      JSON.stringify({ name: 'kites', figures: Array.from({ length: 200 }, (_, at) => at * 37) }),
    ];
    for (const [content, against] of [
      [packWhole(text), null],
      [packAgainst(text, base), base],
    ] as const)
      fc.assert(
        fc.property(fc.nat(content.length - 1), fc.integer({ min: 1, max: 255 }), (at, flip) => {
          const damaged = Buffer.from(content);
          damaged[at] = (damaged[at] ?? 0) ^ flip;
          let read: string | null = null;
          try {
            read = unpack(damaged, against);
          } catch (error) {
            expect(error).toBeInstanceOf(UnreadableContentError);
          }
          // A bit that means nothing to the reader changes nothing; whatever comes out is what went in.
          if (read !== null) expect(read).toBe(text);
        }),
        { numRuns: 300 },
      );
  });

  it('cannot be read against another text than the one it was written against', () => {
    expect(() => unpack(packAgainst('a'.repeat(100), 'a'.repeat(90)), 'b'.repeat(90))).toThrow(UnreadableContentError);
  });
});
