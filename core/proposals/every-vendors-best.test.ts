import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleToPrice } from '../assembly/assemble-to-price';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { isProposal, withEveryVendorsBest } from './every-vendors-best';

const sheets = [
  { id: 's', revision: 1, sheet: typedSheet('Tidewrack', { Small: '10/mo', Plus: '34/mo' }) },
  { id: 't', revision: 1, sheet: typedSheet('Marlpit', { Grow: '22/mo' }) },
];
const workbench = (candidates: Workbench['decision']['candidates']): Workbench => ({ decision: smallDecision({ candidates }), sheets });
const plus = { id: 'A', label: 'Mine', plans: [{ plan: 'tidewrack-plus', term: 'tidewrack-1' }] };
const small = { id: 'B', label: 'Small one', plans: [{ plan: 'tidewrack-small', term: 'tidewrack-0' }] };

describe('every vendor’s best', () => {
  it('stands beside the candidates, named by its vendor and plan', () => {
    const { candidates } = withEveryVendorsBest(workbench([plus])).decision;
    expect(candidates.map(({ label }) => label)).toEqual(['Mine', 'Tidewrack Small', 'Marlpit Grow']);
    expect(candidates.map(({ id }) => isProposal(id))).toEqual([false, true, true]);
  });

  it('is no second one where a candidate is made of just that', () => {
    const { candidates } = withEveryVendorsBest(workbench([small])).decision;
    expect(candidates.map(({ label }) => label)).toEqual(['Small one', 'Marlpit Grow']);
  });

  it('is priced like any candidate', () => {
    const { file } = assembleToPrice(withEveryVendorsBest(workbench([plus])));
    const totals = priceDecision(file).result.candidates.map(({ id, total }) => [id, total]);
    expect(totals).toEqual([
      ['A', '408.00'],
      ['proposed-tidewrack', '120.00'],
      ['proposed-marlpit', '264.00'],
    ]);
  });

  it('leaves a decision as it is where no vendor has any', () => {
    const empty = { ...workbench([]), sheets: [] };
    expect(withEveryVendorsBest(empty)).toBe(empty);
  });
});
