import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal, decimal, sum, ZERO } from '../amount/decimal';
import { roundMoney } from '../amount/currencies';
import { priceCandidate } from '../comparison/candidate-result';
import { answerDecision } from '../questions/answer-decision';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { money } from '../tests/random-decision';

interface Way {
  readonly cost: Decimal;
  readonly last: number;
  readonly left: readonly string[];
  readonly moves: number;
}

const termOf = fc.record({
  months: fc.constantFrom(1, 2, 3, 12),
  price: money(60),
  intro: fc.option(fc.record({ price: money(9), periods: fc.constantFrom(1, 2) }), { nil: undefined }),
  trialDays: fc.constantFrom(undefined, 30),
  prorated: fc.boolean(),
});

/** Small decisions whose routes can all be tried: two vendors, three candidates, up to five months. */
const smallRoute = fc
  .record({
    months: fc.integer({ min: 1, max: 5 }),
    basis: fc.constantFrom('paid' as const, 'spread' as const),
    terms: fc.tuple(termOf, termOf, termOf),
    once: fc.tuple(money(30), money(30), money(30)),
    credits: fc.tuple(money(40), money(40), money(40)),
    limit: fc.constantFrom(undefined, '15'),
    within: money(6),
    between: money(20),
    moves: fc.integer({ min: 0, max: 3 }),
  })
  .map(({ months, basis, terms, once, credits, limit, within, between, moves }): DecisionFile => {
    const plan = (index: number) => {
      const { intro, trialDays, ...term } = terms[index] ?? terms[0];
      return {
        id: `p${index}`,
        label: `p${index}`,
        currency: 'EUR',
        taxExcluded: index === 1,
        terms: [{ id: 't', ...term, ...(intro ? { intro } : {}), ...(trialDays ? { trialDays } : {}) }],
        once: [{ label: 'joining', amount: once[index] ?? '0' }],
        charges: [
          { id: `c${index}`, label: 'fee', how: 'per-order' as const, percent: String(index + 1) },
          { id: `r${index}`, label: 'back', how: 'per-unit' as const, each: '1', credit: true, totalCap: credits[index] ?? '0' },
        ],
        ...(limit && index === 0 ? { limits: { orders: limit } } : {}),
      };
    };
    const offer = (id: string, plans: number[]) => ({ id, vendor: id, label: id, kind: 'store-platform', plans: plans.map(plan) });
    return {
      format: 'venalis.decision',
      version: 1,
      name: 'small',
      currency: 'EUR',
      start: '2027-01',
      months,
      basis,
      feeTax: '20',
      hourValue: '10',
      forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: { start: '10', add: '3' }, orderValue: '21.37' }] },
      offers: [offer('one', [0, 1]), offer('two', [2])],
      candidates: [0, 1, 2].map((index) => ({
        id: `k${index}`,
        label: '',
        plans: [{ plan: `p${index}`, term: 't' }],
        hours: { setup: '1' },
      })),
      route: { candidates: ['k0', 'k1', 'k2'], within, between, moves },
    };
  });

/** What a segment costs, straight from the text of the rules (decision file §9), with nothing of the code under test. */
function segmentCost(file: DecisionFile, index: number, from: number, to: number, moved: boolean): Decimal | null {
  const plan = file.offers.flatMap(({ plans }) => plans)[index];
  const term = plan?.terms[0];
  if (!plan || !term) throw new Error('a plan is expected');
  const orders = (month: number) => decimal(10).plus(decimal(3).times(month));
  for (let month = from; month < to; month++) if (plan.limits?.['orders'] && orders(month).gt(plan.limits['orders'])) return null;
  const cents = (amount: Decimal) => roundMoney(amount, 'EUR');
  const lines: Array<{ month: number; amount: Decimal; taxed: boolean }> = [];
  const taxed = plan.taxExcluded ?? false;
  const pay = (month: number, amount: Decimal, covers: number, comesBack: boolean) => {
    const length = covers === 0 ? file.months - month : covers;
    const upTo = (part: number) => cents(amount.times(part).div(length));
    if (file.basis === 'spread') {
      for (let part = 0; part < length && month + part < to; part++)
        lines.push({ month: month + part, amount: upTo(part + 1).minus(upTo(part)), taxed });
      if (to < file.months && month + length > to && !comesBack)
        lines.push({ month: to - 1, amount: amount.minus(upTo(to - month)), taxed });
    } else {
      lines.push({ month, amount, taxed });
      if (to < file.months && comesBack && month + covers > to)
        lines.push({ month: to - 1, amount: cents(amount.times(month + covers - to).div(covers)).neg(), taxed });
    }
  };
  const intro = !moved && term.intro && 'price' in term.intro ? term.intro : null;
  let ordinal = 0;
  for (let month = from + (moved ? 0 : Math.floor((term.trialDays ?? 0) / 30)); month < to; month += term.months, ordinal++)
    pay(month, cents(decimal((intro && ordinal < intro.periods ? intro.price : term.price) ?? '0')), term.months, term.prorated ?? false);
  if (!moved) pay(from, cents(decimal(plan.once?.[0]?.amount ?? '0')), 0, false);
  let credit = decimal(plan.charges?.[1]?.totalCap ?? '0');
  for (let month = from; month < to; month++) {
    lines.push({
      month,
      amount: cents(
        orders(month)
          .times('21.37')
          .times(index + 1)
          .div(100),
      ),
      taxed,
    });
    const back = Decimal.min(orders(month), credit);
    credit = credit.minus(back);
    lines.push({ month, amount: cents(back.neg()), taxed });
    if (month === from && !moved) lines.push({ month, amount: decimal(10), taxed: false });
  }
  let total = sum(lines.map(({ amount }) => amount));
  for (let month = from; month < to; month++)
    total = total.plus(cents(sum(lines.filter((line) => line.taxed && line.month === month).map(({ amount }) => amount)).times('0.2')));
  return total;
}

/** Tries every way. */
function cheapestByTrying(file: DecisionFile): string | null {
  const offerOf = (index: number) => (index === 2 ? 'two' : 'one');
  const { within = '0', between = '0', moves = 3 } = file.route ?? {};
  let best: Decimal | null = null;
  const go = (month: number, way: Way | null) => {
    if (way && month === file.months) {
      if (!best || way.cost.lt(best)) best = way.cost;
      return;
    }
    for (const index of [0, 1, 2]) {
      if (way?.last === index) continue;
      const inside = way !== null && offerOf(way.last) === offerOf(index);
      if (way && !inside && (way.left.includes(offerOf(index)) || way.moves >= moves)) continue;
      for (let to = month + 1; to <= file.months; to++) {
        const cost = segmentCost(file, index, month, to, inside);
        if (!cost) continue;
        const moving = inside ? within : between;
        const move = way ? moving : '0';
        const left = way && !inside ? [...way.left, offerOf(way.last)] : (way?.left ?? []);
        go(to, { cost: (way?.cost ?? ZERO).plus(cost).plus(move), last: index, left, moves: (way?.moves ?? 0) + (way && !inside ? 1 : 0) });
      }
    }
  };
  go(0, null);
  return best === null ? null : (best as Decimal).toFixed(2);
}

describe('the cheapest route', () => {
  it('costs what trying every way gives', () => {
    fc.assert(
      fc.property(smallRoute, (file) => {
        expect(answerDecision(readDecisionFile(file)).route?.total ?? null).toBe(cheapestByTrying(file));
      }),
      { numRuns: 150 },
    );
  });

  it('is never dearer than staying with any one candidate that can be used throughout', () => {
    fc.assert(
      fc.property(smallRoute, (file) => {
        const pricing = preparePricing(readDecisionFile(file));
        const { route } = answerDecision(file);
        for (const candidate of file.candidates) {
          const { result } = priceCandidate(pricing, candidate);
          if (result.usable) expect(Number(route?.total)).toBeLessThanOrEqual(Number(result.total));
        }
      }),
      { numRuns: 40 },
    );
  });

  it('counts what all candidates have in common once, straight through', () => {
    const plan = (id: string, price: string) => ({ id, label: id, currency: 'EUR', terms: [{ id: 't', months: 1, price }] });
    const domain = { label: 'Domain', amount: '12', months: 12 };
    const file: DecisionFile = {
      format: 'venalis.decision',
      version: 1,
      name: 'common',
      currency: 'EUR',
      start: '2027-01',
      months: 4,
      forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: '10', orderValue: '10' }] },
      offers: [
        { id: 'a', vendor: 'a', label: 'a', kind: 'x', plans: [{ ...plan('pa', '5'), limits: { orders: '100' } }] },
        { id: 'b', vendor: 'b', label: 'b', kind: 'x', plans: [{ ...plan('pb', '1'), once: [{ label: 'joining', amount: '3' }] }] },
      ],
      candidates: [
        { id: 'A', label: '', plans: [{ plan: 'pa', term: 't' }], extras: [domain] },
        { id: 'B', label: '', plans: [{ plan: 'pb', term: 't' }], extras: [{ ...domain, currency: 'EUR' }] },
      ],
      route: { candidates: ['A', 'B'], within: '0', between: '2' },
    };
    // B from the start: 3 + 4 × 1, and the domain once.
    expect(answerDecision(readDecisionFile(file)).route).toEqual({
      total: '19.00',
      segments: [{ candidate: 'B', from: '2027-01', months: 4 }],
    });
  });

  it('says so where no way exists', () => {
    fc.assert(
      fc.property(smallRoute, (file) => {
        const nobody = { ...file, needs: [{ feature: 'teleport', level: 'must' as const }] };
        expect(answerDecision(readDecisionFile(nobody)).route).toBeNull();
      }),
      { numRuns: 5 },
    );
  });
});
