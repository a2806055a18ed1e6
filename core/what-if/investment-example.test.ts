import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { kiteDecision } from '../tests/kite-decision';
import { judgeInvestment } from './investment';
import { exampleInvestment } from './investment-example';

const kites = kiteDecision();

describe('an example of a bigger investment', () => {
  it('goes with a month’s sales of 1,000 and stands on the candidate one would use oneself', () => {
    expect(exampleInvestment(priceDecision(kites), 'B')).toEqual({
      instead: 'B',
      on: 'B',
      build: '400',
      photographs: '80',
      texts: '40',
      upkeep: '0',
      hours: { setup: '0', monthly: '0' },
      lift: { cautious: '5', expected: '10', hopeful: '20' },
    });
  });

  it('is said in round numbers, keeps own hours, and can be judged', () => {
    const [first, ...others] = kites.candidates;
    const [stream] = kites.forecast.streams;
    const odd = kiteDecision({
      candidates: [{ ...first, hours: { setup: '7', monthly: '2' } } as typeof first & object, ...others],
      forecast: { streams: [{ ...stream, orders: '123' } as typeof stream & object] },
    });
    const example = exampleInvestment(priceDecision(odd), 'A');
    expect(example).toMatchObject({ build: '500', photographs: '100', texts: '50', hours: { setup: '7', monthly: '2' } });
    // Margin of 50 % on 10 % of 123 orders of 10.00 in 12 months, less 5 % fees on them, less 650 once.
    expect(judgeInvestment(odd, example)?.outcomes[1]?.keptMore).toBe('14.20');
  });

  it('costs nothing where nothing is sold', () => {
    const [stream] = kites.forecast.streams;
    const nothing = kiteDecision({ forecast: { streams: [{ ...stream, orders: '0' } as typeof stream & object] } });
    expect(exampleInvestment(priceDecision(nothing), 'A')).toMatchObject({ build: '0', photographs: '0', texts: '0' });
  });
});
