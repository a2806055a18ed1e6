import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type AnsweredDecision, answerDecision } from '../questions/answer-decision';
import { readDecisionFile } from '../decision-file/read';

const folder = new URL('.', import.meta.url);
const load = (name: string): Record<string, unknown> => JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as Record<string, unknown>;

/** Results that are compared more loosely (README.md). */
const LOOSE = ['breakEven', 'cheapestAt', 'cheapestAtSamples', 'route', 'proposals', 'bestWay'];

interface Expected extends Pick<AnsweredDecision, 'breakEven' | 'route' | 'proposals' | 'bestWay'> {
  cheapestAtSamples?: Array<{ scale: string; candidate: string | null; close: boolean }>;
}

const without = (document: object, keys: readonly string[]) =>
  Object.fromEntries(Object.entries(document).filter(([key]) => !keys.includes(key)));

/** What a way is compared by: what is kept, where that is asked for. */
const worthOf = (way: { total: string; kept?: string } | null | undefined) => way && (way.kept ?? way.total);

const cases = readdirSync(folder).filter((name) => /^\d\d-.*\.json$/.test(name) && !name.endsWith('.result.json'));

describe.each(cases)('%s', (name) => {
  // Worked out in each test, not before them: only so can be told which test notices what.
  const answered = () => answerDecision(readDecisionFile(load(name)));
  const expected = load(name.replace('.json', '.result.json'));
  const { breakEven, cheapestAtSamples, route, proposals, bestWay } = expected as Expected;

  it('gives its results to the cent', () => {
    expect(without(answered(), LOOSE)).toEqual(without(expected, LOOSE));
  });

  if (breakEven)
    it('finds every break-even', () => {
      const result = answered();
      expect(result.breakEven?.map(({ a, b, at }) => [a, b, at.map(({ cheaperBelow }) => cheaperBelow)])).toEqual(
        breakEven?.map(({ a, b, at }) => [a, b, at.map(({ cheaperBelow }) => cheaperBelow)]),
      );
      const scales = (all: AnsweredDecision['breakEven']) => (all ?? []).flatMap(({ at }) => at.map(({ scale }) => Number(scale)));
      scales(result.breakEven).forEach((scale, index) =>
        expect(Math.abs(scale - (scales(breakEven)[index] ?? NaN))).toBeLessThanOrEqual(0.0003),
      );
    });

  if (cheapestAtSamples)
    it('says who is cheapest at every sampled scale', () => {
      const result = answered();
      const wrong = (cheapestAtSamples ?? []).filter(({ scale, candidate, close }) => {
        const stretch = result.cheapestAt?.find(({ from, to }) => Number(from) < Number(scale) && Number(scale) <= Number(to));
        return !close && stretch?.candidate !== candidate;
      });
      expect(wrong).toEqual([]);
    });

  if (route !== undefined)
    it('finds a route that is as good', () => {
      expect(worthOf(answered().route)).toBe(worthOf(route));
    });

  if (proposals)
    it('proposes the same, with ways that are as good', () => {
      const told = (all: AnsweredDecision['proposals']) => (all ?? []).map(({ way, ...proposal }) => ({ ...proposal, way: worthOf(way) }));
      expect(told(answered().proposals)).toEqual(told(proposals));
    });

  if (bestWay !== undefined)
    it('finds a best way of all that is as good', () => {
      expect(worthOf(answered().bestWay)).toBe(worthOf(bestWay));
    });
});
