import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import type { PriceSheet } from '../decision/price-sheet';
import { decisionProposals } from '../proposals/decision-proposals';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { assembleDecisionFile } from './assemble';
import { assembleToPrice } from './assemble-to-price';
import { CARD_FEES } from './card-fees';

const withFee = typedSheet('Tidewrack', { Plus: '34/mo; Card fee (payment): 2 % per order' });
const without = typedSheet('Oakum', { Shared: '3/mo' });

function benchOf(sheets: readonly PriceSheet[], more: object = {}) {
  const used = sheets.map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet }));
  const plans = sheets.flatMap((sheet) => (sheet.kind === 'offer' ? sheet.offer.plans : []));
  const candidates = plans.map(({ id, terms }, index) => ({
    id: 'AB'[index] ?? 'C',
    label: id,
    plans: [{ plan: id, term: terms[0]?.id ?? '' }],
    ...more,
  }));
  return { decision: smallDecision({ candidates }), sheets: used };
}

const unknownOf = (bench: ReturnType<typeof benchOf>) =>
  priceDecision(assembleToPrice(bench).file).result.candidates.map(({ unknown }) => unknown);

describe('card fees that nobody entered', () => {
  it('are a price that is not known, where another vendor states its own', () => {
    const bench = benchOf([withFee, without]);
    expect(unknownOf(bench)).toEqual([[], [CARD_FEES]]);
    expect(priceDecision(assembleToPrice(bench).file).result.cheapest).toBe('A');
    expect(priceDecision(assembleDecisionFile(bench).file).result.cheapest).toBe('B');
  });

  it('are not asked for where nobody states any, nothing is sold, or nothing is sold through the vendor', () => {
    expect(unknownOf(benchOf([without, typedSheet('Brindle', { Small: '9/mo' })]))).toEqual([[], []]);
    const bench = benchOf([withFee, without]);
    const nothingSold = { ...bench, decision: { ...bench.decision, forecast: { streams: [] } } };
    expect(unknownOf(nothingSold)).toEqual([[], []]);
    const hosting: PriceSheet = without.kind === 'offer' ? { ...without, offer: { ...without.offer, kind: 'hosting' } } : without;
    expect(unknownOf(benchOf([withFee, hosting]))).toEqual([[], []]);
  });

  it('are answered by a mark, by an outside processor, and by another plan that takes the payments', () => {
    const plan = without.kind === 'offer' ? (without.offer.plans[0]?.id ?? '') : '';
    const marked: PriceSheet = { ...without, marks: { [`${plan} charge ["Card fee","payment","orders",null]`]: 'not-offered' } };
    expect(unknownOf(benchOf([withFee, marked]))).toEqual([[], []]);
    expect(unknownOf(benchOf([withFee, { ...marked, marks: { [`${plan} limit orders`]: 'not-offered' } }]))).toEqual([[], [CARD_FEES]]);
    const bench = benchOf([withFee, without]);
    const [first, second] = bench.decision.candidates;
    const outside = { ...bench, decision: { ...bench.decision, candidates: [{ ...first, payments: 'tally' }, second] } } as typeof bench;
    expect(assembleToPrice(outside).file.candidates.map(({ addons }) => addons?.length ?? 0)).toEqual([1]);
    const both = [...(first?.plans ?? []), ...(second?.plans ?? [])];
    const together = { ...bench, decision: { ...bench.decision, candidates: [{ id: 'A', label: '', plans: both }] } };
    expect(unknownOf(together)).toEqual([[]]);
  });

  it('keep a plan from being proposed', () => {
    const { vendors } = decisionProposals(benchOf([withFee, without]));
    expect(vendors.map(({ proposed }) => proposed !== null)).toEqual([true, false]);
    expect(vendors[1]?.plans[0]?.reason).toMatchObject({ kind: 'not-known' });
    expect(decisionProposals(benchOf([without])).vendors[0]?.proposed).not.toBeNull();
  });
});
