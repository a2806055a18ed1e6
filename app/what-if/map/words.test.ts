import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { type Assumption, assumptionsOf } from '#core/what-if/assumption';
import { cheapestMap } from '#core/what-if/map';
import type { DecisionFile } from '#core/decision-file/schema';
import { mapSentence } from './words';

const nameOf = (id: string | null) => (id === null ? 'nobody' : ({ A: 'Alder', B: 'Birch' }[id] ?? id));
const assumption = (file: DecisionFile, key: string): Assumption => {
  const found = assumptionsOf(file).find((one) => one.key === key);
  if (!found) throw new Error(`${key} is expected`);
  return found;
};

describe('the map’s sentence', () => {
  const axes = (low: number, high: number) => {
    const file = kiteDecision();
    return {
      file,
      x: { assumption: assumption(file, 'orders:kites'), axis: { key: 'orders:kites', low, high } },
      y: { assumption: assumption(file, 'order-value:kites'), axis: { key: 'order-value:kites', low: -50, high: 50 } },
    };
  };
  const sentence = (low: number, high: number) => {
    const { file, x, y } = axes(low, high);
    return mapSentence(cheapestMap(file, x.axis, y.axis, { columns: 41, rows: 21 }), { x, y }, nameOf);
  };

  it('says who has how much of it, and where the forecast lies', () => {
    expect(sentence(-90, 110)).toMatch(
      /^Birch is cheapest on \d\d% of the map, Alder on \d\d%\. Your forecast lies in the field of Birch\.$/,
    );
  });

  it('says that one is cheapest everywhere, and that the forecast is not on it', () => {
    expect(sentence(20, 90)).toBe('Birch is cheapest everywhere on this map.');
    expect(sentence(-90, -20)).toMatch(/Your forecast lies outside this map\.$/);
  });

  it('says that no candidate can be chosen', () => {
    const file = kiteDecision({ needs: [{ feature: 'x', level: 'must' }] });
    const { x, y } = axes(-50, 50);
    expect(mapSentence(cheapestMap(file, x.axis, y.axis, { columns: 5, rows: 5 }), { x, y }, nameOf)).toBe(
      'No candidate can be chosen anywhere on this map.',
    );
  });
});
