import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { scenarioOutcome } from '#core/what-if/scenarios';
import { AS_IT_IS, exampleScenarios, scenariosSentence } from './words';

const nameOf = (id: string | null) => (id === null ? 'nobody' : ({ A: 'Alder', B: 'Birch' }[id] ?? id));

describe('scenarios, in a sentence', () => {
  const bad = { id: 's', name: 'A bad year', changes: [{ key: 'orders:kites', value: '-60' }] };

  it('say in which of them somebody else costs least', () => {
    const outcomes = [AS_IT_IS, bad].map((one) => scenarioOutcome(kiteDecision(), one));
    expect(scenariosSentence(outcomes, [bad], nameOf)).toBe('Birch costs least as it is, but not in “A bad year”.');
  });

  it('say that it is the same in all of them', () => {
    const good = { ...bad, changes: [{ key: 'orders:kites', value: '60' }] };
    const outcomes = [AS_IT_IS, good].map((one) => scenarioOutcome(kiteDecision(), one));
    expect(scenariosSentence(outcomes, [good], nameOf)).toBe('Birch costs least in every scenario.');
  });
});

it('the examples are a fifth fewer and a fifth more of all orders', () => {
  const sales = exampleScenarios('orders:kites').map((one) => scenarioOutcome(kiteDecision(), one).average.sales);
  expect(sales).toEqual(['800.00', '1200.00']);
});
