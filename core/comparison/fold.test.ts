import { describe, expect, it } from 'vitest';
import type { Decision } from '../decision/decision-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { bestTwo } from './best-two';
import { priceDecision } from './decision-result';
import { foldLineUp, withOpened } from './fold';
import { lineUp } from './line-up';

/** Alder by the month (720) and by the year (696), as two plans of one vendor, and Birch (480). */
const file: DecisionFile = kiteDecision({
  candidates: [
    { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }] },
    { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
    { id: 'C', label: 'Alder by the year', plans: [{ plan: 'pa', term: 'y' }] },
  ],
});
const follower = (candidate: string, offer: string, plan: string) => ({ candidate, offer, plan });
const followed = [follower('A', 'a', 'pa'), follower('B', 'b', 'pb'), follower('C', 'a', 'pa')];
const ids = (given: DecisionFile, view: Parameters<typeof foldLineUp>[2]) => {
  const { shown, folded } = foldLineUp(lineUp(priceDecision(given)).columns, given, view);
  return [shown.map(({ id }) => id).join(' '), folded.map(({ id }) => id).join(' ')];
};

describe('the line-up', () => {
  it('shows of each vendor the best of the plans that came by themselves', () => {
    expect(ids(file, { followed })).toEqual(['B C', 'A']);
    expect(ids(file, {})).toEqual(['B C A', '']);
    expect(ids(file, { followed: followed.map((one) => (one.candidate === 'A' ? { ...one, pinned: true } : one)) })).toEqual(['B C A', '']);
  });

  it('shows what was opened, kept in view, or is set against the others', () => {
    expect(ids(file, { followed, lineUp: { opened: ['A'] } })).toEqual(['B C A', '']);
    expect(ids(file, { followed, lineUp: { pinned: ['A'] } })).toEqual(['B C A', '']);
    expect(ids(file, { followed, lineUp: { baseline: 'A' } })).toEqual(['B C A', '']);
  });

  it('folds what cannot be chosen, unless that is all there is; and nothing of a single vendor', () => {
    const limited = (most: string) => ({
      ...file,
      offers: file.offers.map((offer) => ({
        ...offer,
        plans: offer.plans.map((plan) => (plan.id === 'pa' ? { ...plan, limits: { orders: most } } : plan)),
      })),
    });
    expect(ids(limited('99'), { followed })).toEqual(['B', 'C A']);
    // What somebody put together themselves goes below as well, unless they opened it.
    expect(ids(limited('99'), {})).toEqual(['B', 'C A']);
    expect(ids(limited('99'), { lineUp: { opened: ['A'] } })).toEqual(['B A', 'C']);
    expect(ids(limited('99'), { edited: 'C' })).toEqual(['B C', 'A']);
    expect(ids({ ...file, needs: [{ feature: 'x', level: 'must' }] }, { followed })).toEqual(['B C A', '']);
    const alone = { ...file, candidates: file.candidates.filter(({ id }) => id !== 'B') };
    expect(ids(alone, { followed })).toEqual(['C A', '']);
  });

  it('keeps what is opened with the decision', () => {
    const decision = { lineUp: { order: ['B'] } } as unknown as Decision;
    const open = withOpened(withOpened(decision, 'A', true), 'C', true);
    expect(open.lineUp).toEqual({ order: ['B'], opened: ['A', 'C'] });
    expect(withOpened(open, 'A', false).lineUp?.opened).toEqual(['C']);
  });
});

describe('the runner-up', () => {
  const two = (given: DecisionFile) => {
    const { leader, runnerUp } = lineUp(priceDecision(given));
    return [leader?.id, runnerUp?.column.id, runnerUp?.margin];
  };

  it('is of another vendor, where there is one', () => {
    const cheaper = { ...file, candidates: [...file.candidates, { id: 'D', label: 'Birch again', plans: [{ plan: 'pb', term: 'm' }] }] };
    expect(two(cheaper)).toEqual(['B', 'C', '216.00']);
    expect(bestTwo(cheaper)).toMatchObject({ first: 'B', second: 'C', margin: '216.00' });
    const alone = { ...file, candidates: file.candidates.filter(({ id }) => id !== 'B') };
    expect(two(alone)).toEqual(['C', 'A', '24.00']);
    expect(bestTwo(alone)).toMatchObject({ first: 'C', second: 'A', margin: '24.00' });
  });

  it('may be another combination with the same vendor, put together with something else', () => {
    const themed = (label: string) => [{ label, amount: '1', months: 0, features: { shop: true } }];
    const stacks = {
      ...file,
      candidates: [
        { id: 'A', label: 'With a theme', plans: [{ plan: 'pa', term: 'm' }], extras: themed('Theme') },
        { id: 'B', label: 'With a designer', plans: [{ plan: 'pa', term: 'm' }], extras: themed('Designer') },
        { id: 'C', label: 'With a theme, by the year', plans: [{ plan: 'pa', term: 'y' }], extras: themed('Theme') },
      ],
    };
    expect(two(stacks)).toEqual(['C', 'B', '24.00']);
  });
});
