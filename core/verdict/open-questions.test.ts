import { describe, expect, it } from 'vitest';
import { assembleToPrice } from '../assembly/assemble-to-price';
import { priceDecision } from '../comparison/decision-result';
import { takeApart } from '../decision/take-apart';
import { type Workbench, withDecision } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { isModest, openQuestions } from './open-questions';

const TODAY = '2026-11-25';
const growing = { start: '100', growth: '0.5' };
const forecastOf = (orders: DecisionFile['forecast']['streams'][number]['orders']): DecisionFile['forecast'] => ({
  streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders, orderValue: '10' }],
});

/** The kites with payment fees, growing sales and sheets seen lately: nothing is open. */
function bench(more: Partial<DecisionFile> = {}, seen: string | null = '2026-11-01'): Workbench {
  const kites = kiteDecision({ forecast: forecastOf(growing), ...more });
  const offers = (more.offers ?? kites.offers).map((offer) => ({
    ...offer,
    plans: offer.plans.map((plan) => ({
      ...plan,
      charges: (plan.charges ?? []).map((charge) => ({ ...charge, bucket: 'payment' as const })),
    })),
  }));
  let next = 0;
  return takeApart({ ...kites, offers }, () => `s${next++}`, seen ?? undefined);
}
const asked = (workbench: Workbench, mayWin: readonly string[] = [], today = TODAY) =>
  openQuestions(workbench, priceDecision(assembleToPrice(workbench).file), mayWin, today);

describe('what is open about a verdict', () => {
  it('is nothing where sales are thought through, prices known and sheets fresh', () => {
    expect(asked(bench())).toEqual([]);
  });

  it('is that nobody, or only one, can be chosen', () => {
    const nobody = asked(bench({ needs: [{ feature: 'x-ray', level: 'must' }] }));
    expect(nobody[0]).toEqual({ kind: 'nobody', about: [] });
    expect(nobody[1]).toEqual({ kind: 'answer-unknown', about: ['Alder: x ray', 'Birch: x ray'] });
    expect(asked(bench({ candidates: kiteDecision().candidates.slice(0, 1) }))).toEqual([{ kind: 'one-candidate', about: ['Alder'] }]);
  });

  it.each<[string, DecisionFile['forecast'], boolean]>([
    ['one figure', forecastOf('100'), true],
    ['a figure that grows', forecastOf(growing), false],
    [
      'two streams',
      { streams: [...forecastOf('100').streams, { id: 's', label: 'Stall', kind: 'goods', orders: '9', orderValue: '9' }] },
      false,
    ],
    [
      'subscribers',
      {
        streams: [{ id: 'c', label: 'Club', kind: 'subscription', orderValue: '5', subscribers: { start: '50', joins: '5', churn: '2' } }],
      },
      false,
    ],
  ])('is whether sales are one guess: %s', (_what, forecast, isGuess) => {
    expect(asked(bench({ forecast })).some(({ kind }) => kind === 'sales-guess')).toBe(isGuess);
  });

  it('is that nothing is sold at all', () => {
    expect(asked(withDecision(bench(), (one) => ({ ...one, forecast: { streams: [] } })))).toContainEqual({
      kind: 'sales-guess',
      about: [],
    });
  });

  it('is a price that is not known, and an answer, in the words of the need', () => {
    const unknown = kiteDecision().offers.map((offer) =>
      offer.id === 'b'
        ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price: null }] })) }
        : offer,
    );
    const [price] = asked(bench({ offers: unknown }));
    expect(price?.kind).toBe('price-unknown');
    expect(price?.about).toHaveLength(1);
    const labelled = withDecision(bench(), (one) => ({ ...one, needs: [{ feature: 'pos', label: 'a till', level: 'must' }] }));
    expect(asked(labelled)).toContainEqual({ kind: 'answer-unknown', about: ['Alder: a till', 'Birch: a till'] });
  });

  it('is a sheet that nobody has dated, or that is old, with the age of the oldest', () => {
    expect(asked(bench({}, null))).toEqual([{ kind: 'not-seen', about: ['Alder', 'Birch'] }]);
    // Half a year is 180 days.
    expect(asked(bench({}, '2026-05-29'))).toEqual([]);
    expect(asked(bench({}, '2026-05-28'))).toEqual([{ kind: 'old-sheet', about: ['Alder', 'Birch'], figure: '181' }]);
    const sooner = withDecision(bench(), (one) => ({ ...one, dates: { lookAgain: 7 } }));
    expect(asked(sooner)).toEqual([{ kind: 'old-sheet', about: ['Alder', 'Birch'], figure: '24' }]);
  });

  it('is a lead that is within a fiftieth of the total, or a price not known that could turn it', () => {
    // Birch comes to 480 over the year with sales of 1,000; Alder by 10 a month and 5 % to 720.
    const close = (percent: string) =>
      asked(
        bench({
          forecast: { streams: [...forecastOf('100').streams, { id: 's', label: 'S', kind: 'goods', orders: '0', orderValue: '1' }] },
          offers: kiteDecision().offers.map((offer) =>
            offer.id === 'a'
              ? {
                  ...offer,
                  plans: offer.plans.map((plan) => ({
                    ...plan,
                    charges: [{ id: 'fa', label: 'Fee', how: 'per-order' as const, percent }],
                  })),
                }
              : offer,
          ),
        }),
      );
    // 120 + 12,000 × 3.07 % = 488.40: 8.40 apart, less than 9.60; at 3.08 % it is 9.60.
    expect(close('3.07')).toEqual([{ kind: 'close', about: ['Alder'], figure: '8.40' }]);
    expect(close('3.08')).toEqual([]);
    expect(asked(bench(), ['A'])).toMatchObject([{ kind: 'close', about: ['Alder'] }]);
  });

  it('is a candidate through which money comes in and that has no payment fee', () => {
    const workbench = takeApart(kiteDecision({ forecast: forecastOf(growing) }), () => 's', '2026-11-01');
    const [only] = asked(workbench).filter(({ kind }) => kind === 'no-fee' || kind === 'price-unknown');
    expect(only?.about).toEqual(['Alder', 'Birch']);
  });

  it.each<[Parameters<typeof isModest>[0][number]['kind'], boolean]>([
    ['nobody', true],
    ['one-candidate', true],
    ['sales-guess', true],
    ['close', true],
    ['no-fee', true],
    ['price-unknown', false],
    ['answer-unknown', false],
    ['not-seen', false],
    ['old-sheet', false],
  ])('makes the verdict provisional: %s, %s', (kind, expected) => {
    expect(isModest([{ kind, about: [] }])).toBe(expected);
  });
});
