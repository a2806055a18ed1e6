import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { readDecisionFile } from '../decision-file/read';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { assembleDecisionFile } from './assemble';
import { fateOf, featuresTogether } from './owned';
import type { Owned } from '../decision/owned-schema';
import type { Workbench } from '../decision/workbench';

const mailing: Owned = { id: 'mail', label: 'Mailing tool', features: ['mailings'], amount: '20', months: 1, paidUntil: '2027-06' };
const sheet = typedSheet('Brindle', { Plain: '10/mo, mailings: no', Full: '25/mo, mailings: yes' });

function results(owned: readonly Owned[]) {
  const workbench: Workbench = {
    decision: smallDecision({
      needs: [{ feature: 'mailings', level: 'must' }],
      owned: [...owned],
      candidates: ['plain', 'full'].map((plan, index) => ({
        id: 'AB'.charAt(index),
        label: plan,
        plans: [{ plan: `brindle-${plan}`, term: `brindle-${index}` }],
      })),
    }),
    sheets: [{ id: 's', revision: 1, sheet }],
  };
  const { file, heldBack } = assembleDecisionFile(workbench);
  expect(heldBack).toEqual([]);
  return priceDecision(readDecisionFile(file)).result.candidates.map(({ total, missing }) => [total, missing]);
}

describe('what is owned already', () => {
  it('counts as met, and as a cost that goes on from when it is paid until; a candidate that has it ends it', () => {
    expect(results([])).toEqual([
      ['120.00', ['mailings']],
      ['300.00', []],
    ]);
    // Plain: 120 + 6 months from July × 20. Full has mailings itself.
    expect(results([mailing])).toEqual([
      ['240.00', []],
      ['300.00', []],
    ]);
  });

  it('goes on or ends where the person says so', () => {
    expect(results([{ ...mailing, keptWith: ['B'] }])).toEqual([
      ['240.00', []],
      ['420.00', []],
    ]);
    expect(results([{ ...mailing, endsWith: ['A'] }])).toEqual([
      ['120.00', ['mailings']],
      ['300.00', []],
    ]);
  });

  it('is not paid again when it was bought once and for good', () => {
    expect(results([{ ...mailing, months: 0, amount: '460' }])).toEqual([
      ['120.00', []],
      ['300.00', []],
    ]);
  });

  it('is due at once without a month until which it is paid', () => {
    const { paidUntil: _paid, ...due } = mailing;
    expect(results([due])[0]).toEqual(['360.00', []]);
  });

  it('is superfluous only if everything it is there for is there', () => {
    const both = { ...mailing, features: ['mailings', 'forms'] };
    expect(fateOf(both, 'A', { mailings: true })).toBe('goes-on');
    expect(fateOf(both, 'A', { mailings: '3', forms: true })).toBe('superfluous');
    expect(fateOf({ ...mailing, features: [] }, 'A', {})).toBe('goes-on');
    expect(featuresTogether([{ features: { a: false, b: null } }, { features: { a: true, b: '2' } }])).toEqual({ a: true, b: '2' });
  });
});
