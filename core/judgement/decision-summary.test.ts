import { describe, expect, it } from 'vitest';
import { takeApart } from '../decision/take-apart';
import { withSheet, type Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import { givenVerdict } from '../tests/given-verdict';
import { kiteDecision } from '../tests/kite-decision';
import { decisionSummarySchema, summaryOf } from './decision-summary';

function kites(more: Partial<DecisionFile> = {}, decision: Partial<Workbench['decision']> = {}): Workbench {
  let next = 0;
  const apart = takeApart(kiteDecision(more), () => `sheet-${next++}`);
  return { ...apart, decision: { ...apart.decision, ...decision } };
}

const chosen = givenVerdict({ on: '2026-11-03', runnerUp: { candidate: 'A', label: 'Alder', total: '720.00', margin: '240.00' } });

describe('what the list says of a decision', () => {
  it('is the best, its lead, and who is best at which sales', () => {
    const summary = summaryOf(kites());
    expect(summary).toMatchObject({
      candidates: 2,
      by: 'cost',
      leader: 'Birch',
      total: '480.00',
      margin: '240.00',
      way: null,
      verdict: null,
    });
    // Equal at sales of 500 a month, half of the forecast.
    expect(summary.scale?.stretches.map(({ candidate, label }) => [candidate, label])).toEqual([
      ['A', 'Alder'],
      ['B', 'Birch'],
    ]);
    expect(summary.scale?.stretches[0]?.to).toBeCloseTo(0.5, 5);
    expect(decisionSummarySchema.parse(JSON.parse(JSON.stringify(summary)))).toEqual(summary);
  });

  it('has no answer, and no scale, where nothing is to choose', () => {
    expect(summaryOf(kites({}, { candidates: [] }))).toMatchObject({ candidates: 0, leader: null, total: null, margin: null, scale: null });
  });

  it('says what has become of the verdict', () => {
    const decided = kites({}, { verdicts: [chosen] });
    expect(summaryOf(decided).verdict).toMatchObject({
      name: 'Birch',
      on: '2026-11-03',
      isTwo: false,
      since: { standing: 'holds', dearer: '0.00' },
    });
    // Birch at 90 a month: 12 × 60 more, and Alder 480 less.
    const dearer = withSheet(decided, 'sheet-1', (sheet) =>
      sheet.kind === 'offer'
        ? {
            ...sheet,
            offer: {
              ...sheet.offer,
              plans: sheet.offer.plans.map((plan) => ({ ...plan, terms: plan.terms.map((term) => ({ ...term, price: '90' })) })),
            },
          }
        : sheet,
    );
    expect(summaryOf(dearer).verdict?.since).toMatchObject({
      standing: 'overtaken',
      dearer: '720.00',
      now: { label: 'Alder', margin: '-480.00' },
    });
  });

  it('has the way with its move where one costs less', () => {
    const [stream] = kiteDecision().forecast.streams;
    const growing = { ...stream, orders: { start: '10', growth: '30' } } as NonNullable<typeof stream>;
    const apart = kiteDecision().offers;
    // One vendor with both plans: small at first, large from about 50 orders on.
    const both = [{ ...apart[0], plans: apart.flatMap(({ plans }) => plans) }] as DecisionFile['offers'];
    const summary = summaryOf(kites({ offers: both, forecast: { streams: [growing] } }));
    expect(summary.way?.parts).toHaveLength(2);
    expect(Number(summary.way?.total) + Number(summary.way?.less)).toBeCloseTo(Number(summary.total), 2);
    expect(Number(summary.way?.less)).toBeGreaterThan(0);
  });
});
