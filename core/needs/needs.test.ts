import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import type { Workbench } from '../decision/workbench';
import { readDecisionFile } from '../decision-file/read';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { answerOf, askedVendors, isMet, unansweredOf } from './answers';
import { contradictions } from './contradictions';
import { expectedLimits } from './expected-limits';
import { type DecisionNeed, decisionNeedSchema } from '../decision/need-schema';
import { needWords } from '../wording/need-words';
import { STARTER_SETS, withStarterSets } from './starter-sets';

const sheet = typedSheet(
  'Tidewrack',
  {
    Small: '10/mo, 2 seats, gift cards: no, adverts: yes, gives books: yes, takes books: no',
    Plus: '34/mo, 9 seats, gift cards: yes, languages: 3, adverts: no, gives books: yes, takes books: yes',
    Silent: '20/mo',
  },
  { addons: { 'Gift cards': '6/mo, gift cards: yes', Seat: '2/mo, up to 1 seat' } },
);

function benchWith(needs: readonly DecisionNeed[], more: Partial<Workbench['decision']> = {}): Workbench {
  const plans = sheet.kind === 'offer' ? sheet.offer.plans : [];
  return {
    decision: smallDecision({
      needs: [...needs],
      candidates: plans.map(({ id, label, terms }, index) => ({
        id: 'ABC'.charAt(index),
        label,
        plans: [{ plan: id, term: terms[0]?.id ?? '' }],
      })),
      ...more,
    }),
    sheets: [{ id: 's', revision: 1, sheet }],
  };
}

function standings(needs: readonly DecisionNeed[], more: Partial<Workbench['decision']> = {}) {
  const { file, heldBack } = assembleDecisionFile(benchWith(needs, more));
  const { candidates } = priceDecision(readDecisionFile(file)).result;
  return {
    held: heldBack.map(({ candidate, obstacle }) => [candidate.id, obstacle.kind]),
    ...Object.fromEntries(
      candidates.map(({ id, missing, unclear, outgrown }) => [
        id,
        [
          outgrown ? [`outgrown: ${outgrown.limit}`] : [],
          missing.length > 0 ? [`missing: ${missing.join()}`] : [],
          unclear.length > 0 ? [`unclear: ${unclear.join()}`] : [],
          ['usable'],
        ].flat()[0],
      ]),
    ),
  };
}

const [vendor] = askedVendors(benchWith([]).sheets);
const answers = (need: DecisionNeed) => (vendor?.plans ?? []).map((asked) => answerOf(need, asked));

describe('answers to needs', () => {
  it('are yes, no, with an add-on, or not known', () => {
    const found = answers({ feature: 'gift-cards', level: 'must' });
    expect(found.map(({ kind }) => kind)).toEqual(['addon', 'yes', 'addon']);
    expect(found[0]).toMatchObject({ addon: { label: 'Gift cards' }, isShared: false });
    expect(answers({ feature: 'reviews', level: 'want' }).map(({ kind }) => kind)).toEqual(['not-known', 'not-known', 'not-known']);
  });

  it('say how much, and whether that is enough; a limit answers too', () => {
    expect(answers({ feature: 'languages', level: 'must', kind: 'at-least', least: '2' })).toEqual([
      { kind: 'not-known' },
      { kind: 'amount', amount: '3', isEnough: true },
      { kind: 'not-known' },
    ]);
    expect(answers({ feature: 'staff', level: 'want', kind: 'at-least', least: '5' })).toEqual([
      { kind: 'amount', amount: '2', isEnough: false },
      { kind: 'amount', amount: '9', isEnough: true },
      { kind: 'not-known' },
    ]);
  });

  it('of a connection both ways can be one way only', () => {
    const need: DecisionNeed = { feature: 'books', kind: 'connects', to: 'the bookkeeping', direction: 'both', level: 'must' };
    expect(needWords(need)).toBe('connects both ways with the bookkeeping');
    expect(answers(need)).toEqual([{ kind: 'one-way', way: 'to' }, { kind: 'yes' }, { kind: 'not-known' }]);
    expect(standings([need])).toMatchObject({ A: 'missing: takes-books', B: 'usable', C: 'unclear: gives-books,takes-books' });
    expect(standings([{ ...need, direction: 'to' }])).toMatchObject({ A: 'usable', B: 'usable' });
  });

  it('to being without something turn yes and no about', () => {
    const need: DecisionNeed = { feature: 'adverts', level: 'must', without: true };
    expect(answers(need).map((answer) => isMet(answer, need))).toEqual([false, true, false]);
    expect(standings([need])).toMatchObject({ A: 'missing: without-adverts', B: 'usable', C: 'unclear: without-adverts' });
  });

  it('are counted as long as nobody has given them', () => {
    const needs: DecisionNeed[] = [
      { feature: 'gift-cards', level: 'must' },
      { feature: 'languages', level: 'want' },
      { feature: 'reviews', level: 'want' },
    ];
    expect(unansweredOf(needs, vendor?.plans ?? [])).toBe(5);
  });
});

describe('needs in the decision file', () => {
  it('for so many seats are a quantity that limits and what raises them hold for', () => {
    const needs: DecisionNeed[] = [{ feature: 'staff', kind: 'at-least', level: 'must', least: '3' }];
    expect(standings(needs)).toMatchObject({ A: 'outgrown: staff', B: 'usable', C: 'unclear: staff' });
    const withSeat = benchWith(needs).decision.candidates.map((candidate) => ({
      ...candidate,
      addons: [{ addon: 'tidewrack-seat', term: 'tidewrack-4' }],
    }));
    const plan = sheet.kind === 'offer' ? sheet.offer.addons?.[1] : undefined;
    expect(
      standings(needs, {
        candidates: withSeat.map((one) => ({ ...one, addons: [{ addon: plan?.id ?? '', term: plan?.terms?.[0]?.id ?? '' }] })),
      }),
    ).toMatchObject({ A: 'usable' });
  });

  it('are what the forecast says where it says it: the need is then put to the plan', () => {
    const drivers = { staff: '1' };
    expect(
      standings([{ feature: 'staff', kind: 'at-least', level: 'must', least: '3' }], {
        forecast: { ...benchWith([]).decision.forecast, drivers },
      }),
    ).toMatchObject({ A: 'missing: staff', B: 'usable', C: 'unclear: staff' });
  });

  it('that begin after the horizon do not count yet; within it they do', () => {
    expect(standings([{ feature: 'reviews', level: 'must', from: '2028-01' }])).toMatchObject({ A: 'usable' });
    expect(standings([{ feature: 'reviews', level: 'must', from: '2027-12' }])).toMatchObject({ A: 'unclear: reviews' });
  });

  it('hold a candidate back that has through another part what it must be without', () => {
    const { decision } = benchWith([]);
    const [, plus] = decision.candidates;
    const both = { id: 'D', label: 'Both', plans: [...(plus?.plans ?? []), ...(decision.candidates[0]?.plans ?? [])] };
    expect(standings([{ feature: 'adverts', level: 'must', without: true }], { candidates: [both] })).toMatchObject({
      held: [['D', 'unwanted']],
    });
  });
});

describe('needs that cannot be met together', () => {
  it('are named, with what follows', () => {
    const both: DecisionNeed[] = [
      { feature: 'reviews', level: 'must' },
      { feature: 'reviews', level: 'must', without: true },
    ];
    expect(contradictions(both)).toEqual([
      expect.objectContaining({
        isFatal: true,
        words:
          '“reviews” and “without reviews” contradict each other. As both are musts, nothing can be used until one of them goes or becomes a want.',
      }),
    ]);
    expect(
      contradictions([
        { feature: 'reviews', level: 'want' },
        { feature: 'reviews', level: 'must', without: true },
      ])[0]?.isFatal,
    ).toBe(false);
    expect(
      contradictions([
        { feature: 'reviews', level: 'must' },
        { feature: 'stock', level: 'must' },
      ]),
    ).toEqual([]);
  });
});

describe('starter sets', () => {
  it('are needs that a decision can keep, none of them twice', () => {
    const all = withStarterSets(
      [{ feature: 'stock', level: 'want' }],
      STARTER_SETS.map(({ id }) => id),
    );
    expect(() => all.map((need) => decisionNeedSchema.parse(need))).not.toThrow();
    expect(new Set(all.map(({ feature, without }) => `${feature} ${without}`)).size).toBe(all.length);
    expect(all.find(({ feature }) => feature === 'stock')?.level).toBe('want');
    expect(contradictions(all)).toEqual([]);
  });

  it('take the stricter of two', () => {
    expect(withStarterSets([], ['courses', 'club']).find(({ feature }) => feature === 'video')?.level).toBe('must');
  });
});

describe('limits that come from expected sales', () => {
  it('say the largest month, and when each plan is outgrown', () => {
    const { decision } = benchWith([]);
    const { file } = assembleDecisionFile(
      benchWith([], { forecast: { ...decision.forecast, drivers: { staff: { start: '1', add: '0.5' } } } }),
    );
    expect(expectedLimits(file)).toEqual([
      {
        quantity: 'staff',
        most: '6.5',
        month: '2027-12',
        plans: [
          { plan: 'tidewrack-small', offer: 'tidewrack', limit: '2', outgrown: '2027-04' },
          { plan: 'tidewrack-plus', offer: 'tidewrack', limit: '9', outgrown: null },
        ],
      },
    ]);
  });
});
