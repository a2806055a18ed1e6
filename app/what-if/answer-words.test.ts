import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { type Assumption, assumptionsOf } from '#core/what-if/assumption';
import { judgeInvestment } from '#core/what-if/investment';
import { cheapestMap } from '#core/what-if/map';
import { lookAtOffers } from '#core/what-if/offers';
import { payingAhead } from '#core/what-if/paying-ahead';
import { routePlanner } from '#core/what-if/route-plan';
import { scenarioOutcome } from '#core/what-if/scenarios';
import { turnsIt } from '#core/what-if/turns-it';
import type { DecisionFile } from '#core/decision-file/schema';
import { writerFor } from '../locale/writer';
import {
  AS_IT_IS,
  investmentSentence,
  mapSentence,
  offersSentence,
  payingSentence,
  routeSentence,
  scenariosSentence,
  standingWords,
  turnsSentence,
} from './answer-words';

const write = writerFor('en-GB');
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
      /^Birch is cheapest on \d\d % of the map, Alder on \d\d %\. Your forecast lies in the field of Birch\.$/,
    );
  });

  it('says that one is cheapest everywhere, and that the forecast is not on it', () => {
    expect(sentence(20, 90)).toBe('Birch is cheapest everywhere on this map.');
    expect(sentence(-90, -20)).toMatch(/Your forecast lies outside this map\.$/);
  });

  it('says that nobody can be chosen', () => {
    const file = kiteDecision({ needs: [{ feature: 'x', level: 'must' }] });
    const { x, y } = axes(-50, 50);
    expect(mapSentence(cheapestMap(file, x.axis, y.axis, { columns: 5, rows: 5 }), { x, y }, nameOf)).toBe(
      'Nobody can be chosen anywhere on this map.',
    );
  });
});

describe('the route’s sentence', () => {
  const growing = kiteDecision({
    forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '10', add: '15' }, orderValue: '10' }] },
  });
  const moving = (money: string) => ({ within: { hours: '0', money }, between: { hours: '0', money }, moves: 2 });

  it('says with whom to begin and when to move, and what that saves', () => {
    // Alder throughout is cheaper than Birch throughout? A: 12 × 10 + 5 % of 11,100 = 675; B: 360 + 111 = 471; the way: 30 + 37.5 + 270 + 103.5.
    expect(routeSentence(routePlanner(growing).plan(moving('0')), nameOf, write)).toBe(
      'Begin with Alder, move to Birch in April 2027: 441 in all, 30 less than Birch throughout.',
    );
  });

  it('says that moving does not pay', () => {
    expect(routeSentence(routePlanner(growing).plan(moving('500')), nameOf, write)).toBe(
      'Moving does not pay: stay with Birch throughout, 471 in all.',
    );
  });

  it('is nothing where there is no way', () => {
    expect(routeSentence(routePlanner({ ...growing, needs: [{ feature: 'x', level: 'must' }] }).plan(moving('0')), nameOf, write)).toBe('');
  });
});

describe('what turns it, in a sentence', () => {
  const sentence = (file: DecisionFile, low: number) => {
    const varied = assumptionsOf(file).map((one) => ({
      assumption: one,
      low: one.key === 'orders:kites' ? low : one.usual[0],
      high: one.usual[1],
    }));
    return turnsSentence(turnsIt(file, varied), (key) => assumptionsOf(file).find((one) => one.key === key), nameOf, write);
  };

  it('names the strongest turning point', () => {
    expect(sentence(kiteDecision(), -80)).toBe(
      'Birch is ahead of Alder by 240. It turns with “Orders, Kites”: below 50 a month (−50 %) Alder is cheapest.',
    );
  });

  it('says that nothing turns it, and that there is only one', () => {
    expect(sentence(kiteDecision(), -10)).toBe('Birch is ahead of Alder by 240. Nothing turns that, over the ranges stated.');
    expect(sentence(kiteDecision({ candidates: kiteDecision().candidates.slice(0, 1) }), -10)).toBe(
      'Alder is the only one that can be chosen. Nothing turns that, over the ranges stated.',
    );
  });
});

describe('paying ahead, in a sentence', () => {
  const sentence = (file: DecisionFile) => {
    const [paying] = payingAhead(file);
    return paying ? payingSentence(paying, 'Alder', file.months, write) : '';
  };

  it('says what is saved, what is lost by leaving, and from when on nothing is', () => {
    expect(sentence(kiteDecision())).toBe(
      'Paid by the year, Alder costs 24 less over 12 months. Leave after 1 month and 86 is lost; from month 10 on nothing is lost any more.',
    );
  });

  it('says that it saves nothing, as in a horizon of three months', () => {
    expect(sentence(kiteDecision({ months: 3 }))).toBe('Paying ahead saves nothing for Alder over 3 months: by the month costs least.');
  });
});

describe('offers, in a sentence', () => {
  const offered = (price: string, periods: number) => {
    const file = kiteDecision();
    const [alder, birch] = file.offers;
    return {
      ...file,
      offers: [
        { ...alder, plans: [{ ...alder?.plans[0], terms: [{ id: 'm', months: 1, price: '10' }] }] },
        { ...birch, plans: [{ ...birch?.plans[0], terms: [{ id: 'm', months: 1, price, intro: { price: '0', periods } }] }] },
      ],
    } as DecisionFile;
  };

  it('says that the decision survives without them', () => {
    expect(offersSentence(lookAtOffers(offered('30', 2), []), nameOf, write)).toBe(
      'The decision survives: Birch costs least without the one special offer.',
    );
  });

  it('says that it does not', () => {
    expect(offersSentence(lookAtOffers(offered('80', 12), []), nameOf, write)).toBe(
      'The decision does not survive without Birch Plan: then Alder costs least.',
    );
  });

  it('and who is cheapest, or that nobody can be chosen', () => {
    const { withAll } = lookAtOffers(offered('30', 2), []);
    expect(standingWords(withAll, nameOf, write)).toBe('Birch costs least, 420, 300 less than Alder.');
    expect(standingWords(null, nameOf, write)).toBe('nobody can be chosen.');
  });
});

describe('the bigger investment, in a sentence', () => {
  const sentence = (build: string, lift: string) => {
    const judged = judgeInvestment(kiteDecision(), {
      instead: 'A',
      on: 'A',
      build,
      photographs: '0',
      texts: '0',
      upkeep: '0',
      hours: { setup: '0', monthly: '0' },
      lift: { cautious: '0', expected: lift, hopeful: '0' },
    });
    return judged ? investmentSentence(judged, 12, write) : '';
  };

  it('says from which lift on it pays, and when it has paid for itself', () => {
    // Each percent more brings 60 of margin and costs 6 in fees: 540 at 10 %, against 270 paid.
    expect(sentence('270', '10')).toBe(
      'It pays if it brings 5 % more online orders. At the 10 % that you expect it leaves you 270 more over 12 months, and has paid for itself in June 2027.',
    );
  });

  it('says that it costs more than it brings, or pays in any case', () => {
    expect(sentence('5400', '10')).toBe(
      'It pays if it brings 100 % more online orders. At the 10 % that you expect it leaves you 4,860 less over 12 months.',
    );
    expect(sentence('0', '10')).toMatch(/^It pays even without a single order more\./);
    expect(sentence('9000000', '10')).toMatch(/^It does not pay within this time, even with ten times the orders\./);
  });
});

describe('scenarios, in a sentence', () => {
  const bad = { id: 's', name: 'A bad year', changes: [{ key: 'orders:kites', value: '-60' }] };

  it('say in which of them somebody else costs least', () => {
    const outcomes = [AS_IT_IS, bad].map((one) => scenarioOutcome(kiteDecision(), one));
    expect(scenariosSentence(outcomes, [bad], nameOf)).toBe('Birch costs least as it is; not in “A bad year”.');
  });

  it('say that it is the same in all of them', () => {
    const good = { ...bad, changes: [{ key: 'orders:kites', value: '60' }] };
    const outcomes = [AS_IT_IS, good].map((one) => scenarioOutcome(kiteDecision(), one));
    expect(scenariosSentence(outcomes, [good], nameOf)).toBe('Birch costs least in every scenario.');
  });
});
