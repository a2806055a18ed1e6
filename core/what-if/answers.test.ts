import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { kiteDecision } from '../tests/kite-decision';
import { answerWhatIf, whatIfAnswerer } from '../questions/answer';
import { assumptionsOf } from './assumption';
import { nearestPoint, pairBreakEvens, percentOfForecast } from './break-evens';
import { broughtOrders, judgeInvestment } from './investment';
import { lookAtOffers, withoutOffers } from './offers';
import { payingAhead } from './paying-ahead';
import { leftOutOf, routePlanner } from './route-plan';
import { USUAL_MOVING } from '../route/moving-costs';
import { inScenario, scenarioOutcome, withoutScenario, withScenario, withScenarioTakenOver } from './scenarios';
import { turnsFinder, turnsIt } from './turns-it';
import { smallDecision } from '../tests/small-decision';

const usual = (file = kiteDecision()) =>
  assumptionsOf(file).map((assumption) => ({ assumption, low: assumption.usual[0], high: assumption.usual[1] }));

describe('break-evens of every pair', () => {
  it('are stated in sales, orders and the month that reaches them', () => {
    const growing = kiteDecision({
      forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '20', add: '5' }, orderValue: '10' }] },
    });
    // Sales of 200, 250, 300 …: 500 is reached in the seventh month; on average 475 a month.
    const [pair] = pairBreakEvens(growing);
    expect(pair).toMatchObject({ a: 'A', b: 'B', now: 'A' });
    expect(pair?.points).toMatchObject([
      { monthlySales: '500.00', monthlyOrders: '50.0000', below: 'A', above: 'B', reached: { month: '2027-07', stays: true } },
    ]);
    expect(percentOfForecast(pair?.points[0]?.scale ?? 0)).toBe('5');
  });

  it('say that one is always cheaper, or both always the same', () => {
    const [always] = pairBreakEvens(
      kiteDecision({
        candidates: [
          { id: 'A', label: 'A', plans: [{ plan: 'pa', term: 'y' }] },
          { id: 'M', label: 'M', plans: [{ plan: 'pa', term: 'm' }] },
        ],
      }),
    );
    expect(always).toMatchObject({ now: 'A', points: [] });
    const [same] = pairBreakEvens(
      kiteDecision({
        candidates: [
          { id: 'A', label: 'A', plans: [{ plan: 'pa', term: 'y' }] },
          { id: 'C', label: 'C', plans: [{ plan: 'pa', term: 'y' }] },
        ],
      }),
    );
    expect(same).toMatchObject({ now: null, points: [] });
    expect(nearestPoint([])).toBeNull();
  });

  it('are none where nothing is sold', () => {
    expect(pairBreakEvens(kiteDecision({ forecast: { streams: [] } }))[0]?.points).toEqual([]);
  });
});

describe('what turns it', () => {
  it('finds the exact value at which the winner changes, and sorts by effect', () => {
    const found = turnsIt(
      kiteDecision(),
      usual().map((one) => (one.assumption.key === 'orders:kites' ? { ...one, low: -80 } : one)),
    );
    expect(found).toMatchObject({ first: 'B', second: 'A', gap: '240.00', mayWin: [] });
    const [orders] = found.turns;
    expect(orders?.key).toBe('orders:kites');
    expect(orders?.below?.winner).toBe('A');
    expect(orders?.below?.at).toBeCloseTo(-50, 6);
    expect(orders?.above).toBeNull();
    // At a fifth of the orders A costs 12 × (10 + 10) = 240, B 12 × (30 + 2) = 384.
    expect(orders?.low).toEqual({ gap: '-144.00', winner: 'A' });
    const swings = found.turns.map(({ swing }) => swing);
    expect([...swings].sort((a, b) => b - a)).toEqual(swings);
  });

  it('says the same after a range was changed, and looks only at that one again', () => {
    const finder = turnsFinder(kiteDecision());
    const wide = usual();
    finder.found(wide);
    const narrow = wide.map((one) => (one.assumption.key === 'orders:kites' ? { ...one, low: -80 } : one));
    // One piece of work is left: the assumption whose range is another.
    expect(finder.next(narrow)).toBe(false);
    expect(finder.found(narrow)).toEqual(turnsIt(kiteDecision(), narrow));
    expect(finder.found(wide)).toEqual(turnsIt(kiteDecision(), wide));
  });

  it('is found in as many pieces as there are assumptions, so that a newer question need not wait', () => {
    const varied = usual();
    const work = whatIfAnswerer(kiteDecision()).begin({ kind: 'turns', varied });
    const pieces = varied.map(() => work.next());
    expect(pieces.map(({ done }) => done)).toEqual([...varied.slice(1).map(() => false), true]);
    expect(pieces.at(-1)?.answer).toEqual(turnsIt(kiteDecision(), varied));
    expect(whatIfAnswerer(kiteDecision()).begin({ kind: 'turns', varied: [] }).next()).toMatchObject({ done: true });
  });

  it('is too close to call where a price that is not known could win', () => {
    const file = kiteDecision();
    const [alder] = file.offers;
    const open = {
      ...file,
      offers: [
        { ...alder, plans: [{ ...alder?.plans[0], charges: [{ id: 'fa', label: 'Fee', how: 'per-order' as const, percent: null }] }] },
        file.offers[1],
      ],
    } as typeof file;
    const found = turnsIt(open, usual(open));
    expect(found).toMatchObject({ first: 'B', second: null, gap: null, mayWin: ['A'] });
    // A is as dear as B at 12 × (10 + 1000 x) = 480: a fee of 3 %.
    expect(found.turns.find(({ key }) => key === 'price:fa')?.above?.at).toBeCloseTo(3, 6);
  });

  it('has no first where no candidate can be chosen, and no second where one can', () => {
    expect(turnsIt(kiteDecision({ needs: [{ feature: 'x', level: 'must' }] }), usual())).toMatchObject({
      first: null,
      second: null,
      gap: null,
    });
    expect(turnsIt(kiteDecision({ candidates: kiteDecision().candidates.slice(0, 1) }), usual())).toMatchObject({
      first: 'A',
      second: null,
      gap: null,
    });
  });
});

describe('the route', () => {
  const growing = kiteDecision({
    forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '10', add: '15' }, orderValue: '10' }] },
  });
  const free = { within: { hours: '0', money: '0' }, between: { hours: '0', money: '0' }, moves: 2 };

  it('moves where the dearer plan pays, if moving costs nothing; and says what another month costs', () => {
    // Sales of 100, 250, 400, 550 …: B is cheaper from the fourth month on.
    const plan = routePlanner(growing).plan(free);
    expect(plan.segments).toEqual([
      { candidate: 'A', from: '2027-01', months: 3 },
      { candidate: 'B', from: '2027-04', months: 9 },
    ]);
    expect(plan.firstMove.find(({ month }) => month === '2027-04')?.more).toBe('0.00');
    expect(plan.firstMove.every(({ more }) => Number(more) >= 0)).toBe(true);
    // A quarter later: three months with A at 550, 700 and 850 instead of B: 2 + 8 + 14 more.
    expect(plan.quarterLater?.more).toBe('24.00');
  });

  it('stays where moving costs more than it brings, with the hours in it', () => {
    const plan = routePlanner(growing).plan({ ...free, between: { hours: '10', money: '50' } });
    expect(plan.costs.between).toBe('250.00');
    expect(plan.segments).toHaveLength(1);
    expect(plan.saving).toBe('0.00');
    expect(plan.quarterLater).toBeNull();
    // Three months with A are cheaper by 16 + 10 + 4 before the move is paid: 220 are missing.
    expect(plan.nearest).toMatchObject({
      segments: [
        { candidate: 'A', from: '2027-01', months: 3 },
        { candidate: 'B', from: '2027-04', months: 9 },
      ],
      more: '220.00',
      paysBelow: '30.00',
    });
    expect(plan.nearest?.firstMove.map(({ more }) => Number(more)).slice(0, 4)).toEqual([14, 4, 0, 2]);
    expect(routePlanner(growing).plan({ ...free, between: { hours: '10', money: '50' }, moves: 0 }).nearest).toBeNull();
  });

  it('is none where nobody can be used', () => {
    expect(routePlanner({ ...growing, needs: [{ feature: 'x', level: 'must' }] }).plan(USUAL_MOVING)).toMatchObject({
      total: null,
      segments: [],
      single: null,
    });
    expect(routePlanner(growing).plan({ ...free, without: ['A', 'B'] })).toMatchObject({ total: null, segments: [] });
  });

  it('leaves out who could be had without paying what is paid once', () => {
    const [a, b] = growing.candidates;
    if (!a || !b) throw new Error('two are expected');
    const built = { ...a, id: 'D', extras: [{ label: 'Build', amount: '900', months: 0 }] };
    expect(leftOutOf({ ...growing, candidates: [a, b, built] })).toEqual(['D']);
    expect(leftOutOf({ ...growing, candidates: [b, built] })).toEqual([]);
  });
});

describe('paying ahead', () => {
  it('says what it saves, what is lost by leaving, and from when on it pays', () => {
    const [paying] = payingAhead(kiteDecision());
    expect(paying).toMatchObject({ candidate: 'A', now: 'm' });
    const year = paying?.options.find(({ term }) => term === 'y');
    // 96 at once against 10 a month: 86 out early, lost after one month; even after ten months.
    expect(year).toMatchObject({ saving: '24.00', outEarly: '86.00', worst: { months: 1, loss: '86.00' }, breakEven: 10 });
    expect(year?.ifLeft.slice(8, 11)).toEqual(['6.00', '-4.00', '-14.00']);
  });

  it('gives nothing for plans that are paid in one way', () => {
    expect(payingAhead(kiteDecision({ candidates: kiteDecision().candidates.slice(1) }))).toEqual([]);
  });
});

describe('offers', () => {
  const file = kiteDecision();
  const [alder, birch] = file.offers;
  const offered = {
    ...file,
    offers: [
      { ...alder, plans: [{ ...alder?.plans[0], terms: [{ id: 'm', months: 1, price: '10', intro: { price: '0', periods: 12 } }] }] },
      { ...birch, plans: [{ ...birch?.plans[0], terms: [{ id: 'm', months: 1, price: '30', intro: { off: '100', periods: 6 } }] }] },
    ],
  } as typeof file;

  it('say for each whether the decision survives without it', () => {
    // With both: A 600, B 12 × 10 + 180 = 300. Without B's: B 480, still ahead of A's 600. Without both: 720 and 480.
    const looked = lookAtOffers(offered, ['pa m']);
    expect(looked.withAll).toMatchObject({ first: 'B', total: '300.00', margin: '300.00' });
    expect(looked.offers).toMatchObject([
      { id: 'pa m', candidates: ['A'], saves: '120.00', without: { first: 'B', margin: '420.00' } },
      { id: 'pb m', candidates: ['B'], saves: '180.00', without: { first: 'B', margin: '120.00' } },
    ]);
    expect(looked.withoutAll).toMatchObject({ first: 'B', margin: '240.00' });
    expect(looked.asAsked).toMatchObject({ first: 'B', margin: '420.00' });
    expect(withoutOffers(offered, ['pa m']).offers[0]?.plans[0]?.terms[0]).not.toHaveProperty('intro');
  });

  it('are none where no plan in the line-up has one', () => {
    expect(lookAtOffers(file, []).offers).toEqual([]);
  });
});

describe('the bigger investment', () => {
  const investment = {
    instead: 'A',
    on: 'B',
    build: '600',
    photographs: '100',
    texts: '0',
    upkeep: '10',
    hours: { setup: '5', monthly: '0' },
    lift: { cautious: '0', expected: '20', hopeful: '40' },
  };

  it('is judged by what is kept: margin on more orders, fees on them, what is paid, and hours', () => {
    const judged = judgeInvestment(kiteDecision(), investment);
    const expected = judged?.outcomes.find(({ version }) => version === 'expected');
    // 20 % more of 12,000 in sales at a margin of 50 %; B costs 360 + 1 % of 14,400 against A's 720.
    expect(expected).toMatchObject({
      extraOrders: '240.0',
      keptMore: '496.00',
      parts: { margin: '1200.00', platform: '216.00', once: '-700.00', upkeep: '-120.00', hours: '-100.00' },
      threeYears: '3088.00',
    });
    const ledger = Object.values(expected?.parts ?? {}).reduce((sum, part) => sum + Number(part), 0);
    expect(ledger).toBeCloseTo(Number(expected?.keptMore), 6);
    // 100 of margin and 18 less in fees, minus 10, a month: 800 are back in the eighth.
    expect(expected?.payback).toBe('2027-08');
    expect(judged?.outcomes.map(({ version }) => version)).toEqual(['cautious', 'expected', 'hopeful']);
  });

  it('finds the least lift that pays, and counts only what is sold online', () => {
    const judged = judgeInvestment(kiteDecision(), investment);
    // 6,000 k of margin − 120 k of fees + 240 saved on fees = 920 at k = 11.565 %.
    expect(judged?.requiredLift).toBe('11.57');
    expect(judged?.requiredOrders).toBe('11.5700');
    const stall = kiteDecision({
      forecast: {
        streams: [{ id: 'kites', label: 'Kites', kind: 'goods', channel: 'in-person', orders: '100', orderValue: '10', margin: '50' }],
      },
    });
    expect(judgeInvestment(stall, investment)).toMatchObject({ requiredLift: null, requiredOrders: null, onlineShare: '0.0' });
  });

  it('counts only orders of people who find the seller online, wherever they buy', () => {
    const [kites] = kiteDecision().forecast.streams;
    if (!kites) throw new Error('a stream is expected');
    const both = kiteDecision({ forecast: { streams: [kites, { ...kites, id: 'stall', channel: 'in-person' }] } });
    const found = (foundOnline?: Record<string, string>) => ({ ...investment, ...(foundOnline ? { foundOnline } : {}) });
    expect(judgeInvestment(both, found())?.onlineShare).toBe('50.0');
    // Of 200 orders 60 and 25: a fifth more of these is 17 a month.
    const partly = judgeInvestment(both, found({ kites: '60', stall: '25' }));
    expect(partly?.onlineShare).toBe('42.5');
    expect(partly?.outcomes[1]?.extraOrders).toBe('204.0');
    expect(broughtOrders(both, found({ kites: '60', stall: '25' }))).toEqual([
      { key: 'orders:kites', value: '12' },
      { key: 'orders:stall', value: '5' },
    ]);
    expect(broughtOrders(both, found({ kites: '0', stall: '25' }))).toEqual([{ key: 'orders:stall', value: '5' }]);
  });

  it('can be kept as a scenario: more orders of what is sold online, none of what is not', () => {
    const [kites] = kiteDecision().forecast.streams;
    if (!kites) throw new Error('a stream is expected');
    const both = kiteDecision({ forecast: { streams: [kites, { ...kites, id: 'stall', channel: 'in-person' }] } });
    expect(broughtOrders(both, investment)).toEqual([{ key: 'orders:kites', value: '20' }]);
  });

  it('is nothing if a candidate is gone', () => {
    expect(judgeInvestment(kiteDecision(), { ...investment, on: 'Z' })).toBeNull();
  });
});

describe('scenarios', () => {
  const scenario = {
    id: 's',
    name: 'A bad year',
    changes: [
      { key: 'orders:kites', value: '-60' },
      { key: 'hour-value', value: '35' },
    ],
  };

  it('come out exactly as the changed decision does', () => {
    const outcome = scenarioOutcome(kiteDecision(), scenario);
    expect(outcome.standing).toMatchObject({ first: 'A', total: '360.00', second: 'B', margin: '48.00' });
    expect(outcome.totals.map(({ total }) => total)).toEqual(
      priceDecision(inScenario(kiteDecision(), scenario)).result.candidates.map(({ total }) => total),
    );
    expect(scenarioOutcome(kiteDecision(), { ...scenario, changes: [{ key: 'orders:gone', value: '5' }] }).idle).toEqual(['orders:gone']);
  });

  it('are kept, replaced, removed and taken over', () => {
    const kept = withScenario(smallDecision(), scenario);
    expect(withScenario(kept, { ...scenario, name: 'Worse' }).whatIf?.scenarios?.map(({ name }) => name)).toEqual(['Worse']);
    expect(withoutScenario(kept, 's').whatIf?.scenarios).toEqual([]);
    const taken = withScenarioTakenOver(smallDecision({}, '10'), {
      ...scenario,
      changes: [
        { key: 'orders', value: '-60' },
        { key: 'hour-value', value: '35' },
        { key: 'price:x', value: '3' },
      ],
    });
    expect(taken.forecast.streams[0]?.orders).toBe('4');
    expect(taken.hourValue).toBe('35');
  });
});

describe('answers in pieces', () => {
  it('are the same as at once; a map comes coarse first', () => {
    const file = kiteDecision();
    const question = { kind: 'map' as const, x: { key: 'orders', low: -50, high: 50 }, y: { key: 'order-value', low: -50, high: 50 } };
    const work = whatIfAnswerer(file).begin(question);
    const sizes: number[] = [];
    for (let piece = work.next(); ; piece = work.next()) {
      if (piece.answer && 'columns' in piece.answer) sizes.push(piece.answer.columns);
      if (piece.done) break;
    }
    expect(sizes).toEqual([50, 200]);
    expect(answerWhatIf(file, { kind: 'break-even' })).toEqual(pairBreakEvens(file));
    expect(answerWhatIf(file, { kind: 'paying' })).toEqual(payingAhead(file));
    expect(answerWhatIf(file, { kind: 'route', moving: USUAL_MOVING })).toEqual(routePlanner(file).plan(USUAL_MOVING));
  });
});
