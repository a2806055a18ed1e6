import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { lineUp } from '../comparison/line-up';
import { assembleDecisionFile } from '../assembly/assemble';
import { decisionSchema } from '../decision/decision-schema';
import { asVerdictsOfAnother } from '../assembly/archive';
import { withDecision, type Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { assumptionsOf } from '../what-if/assumption';
import { USUAL_MOVING } from '../route/moving-costs';
import { verdictBasis } from './basis';
import { compareVerdicts } from './compare-verdicts';
import { chosenNow, fixedVerdicts, type Giving, giveVerdict, proposedChoice } from './give';
import { featureNames } from './names';
import { isModest, openQuestions } from './open-questions';
import { choiceOf, since } from './since';
import { priceTogether } from './together';
import { choiceSchema, type Choice, givenVerdictSchema } from '../decision/verdict-schema';
import { verdictName } from './verdict-name';

function giving(workbench: Workbench, today = '2026-11-25'): Giving {
  const { file } = assembleDecisionFile(workbench);
  const priced = priceDecision(file);
  const varied = assumptionsOf(file).map((assumption) => ({ assumption, low: assumption.usual[0], high: assumption.usual[1] }));
  const basis = verdictBasis(file, { workbench, others: [], varied, moving: USUAL_MOVING, names: {} });
  return { workbench, priced, lineUp: lineUp(priced), basis, chance: null, version: 'expected', today };
}

function given(workbench: Workbench, choice: Choice, today?: string) {
  const verdict = giveVerdict(giving(workbench, today), choice, `v-${today ?? 'one'}`);
  if (!verdict) throw new Error('a verdict is expected');
  return verdict;
}

const BIRCH: Choice = { kind: 'candidate', candidates: ['B'], reason: 'It takes less of each sale.' };
const kites = kiteDecision();
/** With fees for cards, so that none was forgotten, and sales that grow. */
const grown = kiteDecision({
  offers: kites.offers.map((offer) => ({
    ...offer,
    plans: offer.plans.map((plan) => ({
      ...plan,
      charges: (plan.charges ?? []).map((charge) => ({ ...charge, bucket: 'payment' as const })),
    })),
  })),
  forecast: {
    streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '100', growth: '1' }, orderValue: '10', margin: '50' }],
  },
});

describe('a verdict', () => {
  it('proposes the cheapest, with the runner-up and by how much', () => {
    const from = giving(workbenchOf(kiteDecision()));
    const choice = proposedChoice(from.priced);
    expect(choice?.candidates).toEqual(['B']);
    expect(choice && chosenNow(from, choice)).toEqual({
      parts: [{ candidate: 'B', label: 'Birch' }],
      total: '480.00',
      keep: '5520.00',
      atLeast: false,
      usable: true,
      runnerUp: { candidate: 'A', label: 'Alder', total: '720.00', margin: '240.00' },
    });
  });

  it('keeps everything it rests on, and can be kept itself', () => {
    const verdict = given(workbenchOf(grown), BIRCH);
    expect(givenVerdictSchema.safeParse(verdict).error?.issues).toBeUndefined();
    expect(verdict).toMatchObject({
      on: '2026-11-25',
      kind: 'candidate',
      reason: BIRCH.reason,
      currency: 'EUR',
      months: 12,
      version: 'expected',
      strength: 'firm',
    });
    expect(verdict.sheets).toEqual([
      { id: 's0', label: 'Alder', seen: '2026-11-01' },
      { id: 's1', label: 'Birch', seen: '2026-11-01' },
    ]);
    expect(verdict.totals.map(({ label }) => label)).toEqual(['Birch', 'Alder']);
    expect(verdict.thresholds.find(({ key }) => key === 'order-value:kites')).toBeUndefined();
    expect(verdict.open).toEqual([]);
    expect(verdict.suits).toMatchObject({ to: null, needs: [] });
  });

  it('may be against the cheapest: the margin is then less than nothing', () => {
    expect(given(workbenchOf(grown), { ...BIRCH, candidates: ['A'] }).runnerUp).toMatchObject({ candidate: 'B' });
    expect(Number(given(workbenchOf(grown), { ...BIRCH, candidates: ['A'] }).runnerUp?.margin)).toBeLessThan(0);
  });

  it('is no verdict where what was chosen is not there', () => {
    expect(giveVerdict(giving(workbenchOf(grown)), { ...BIRCH, candidates: ['Z'] }, 'v')).toBeNull();
    expect(giveVerdict(giving(workbenchOf(grown)), { ...BIRCH, candidates: [] }, 'v')).toBeNull();
    expect(giveVerdict(giving(workbenchOf({ ...grown, candidates: [] })), { kind: 'route', candidates: [], reason: '' }, 'v')).toBeNull();
  });

  it('reads a choice of before there were verdicts', () => {
    expect(
      choiceSchema.parse({ candidate: 'B', label: 'Birch', reason: 'so', on: '2026-11-01', total: '480.00', currency: 'EUR' }),
    ).toEqual({ kind: 'candidate', candidates: ['B'], reason: 'so' });
  });
});

describe('two together', () => {
  const streams: DecisionFile['forecast']['streams'] = [
    { id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10' },
    { id: 'club', label: 'Club', kind: 'subscription', orderValue: '5', subscribers: { start: '40', joins: '0', churn: '0' } },
  ];

  it('each takes its own streams, so that no sale is charged twice', () => {
    // Alder: 12 × (10 + 5 % of 200); Birch: 12 × (30 + 1 % of 1,000).
    expect(priceTogether(kiteDecision({ forecast: { streams } }), 'B', 'A', ['club'])).toEqual({
      total: '720.00',
      keep: '13680.00',
      monthly: new Array(12).fill('60.00'),
      each: ['480.00', '240.00'],
      atLeast: false,
      usable: true,
      once: [],
      twice: [],
    });
  });

  it('an extra that both have alike is paid for once, and a must may be met by either', () => {
    const theme = { label: 'Theme', amount: '60', months: 0, features: { pictures: true } };
    const needs = [
      { feature: 'pictures', level: 'must' as const },
      { feature: 'stock', level: 'must' as const },
    ];
    const candidates = [
      {
        id: 'A',
        label: 'Alder',
        plans: [{ plan: 'pa', term: 'm' }],
        extras: [theme, { label: 'Stock', amount: '1', months: 0, features: { stock: true } }],
      },
      { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }], extras: [theme] },
    ];
    const together = priceTogether(kiteDecision({ forecast: { streams }, needs, candidates }), 'B', 'A', ['club']);
    expect(together).toMatchObject({ each: ['540.00', '241.00'], total: '781.00', once: ['Theme'], usable: true });
  });

  it('an add-on that both have is counted for both, and named', () => {
    const desk = { id: 'desk', label: 'Label desk', currency: 'EUR', terms: [{ id: 'm', months: 1, price: '5' }] };
    const candidates = [
      { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }], addons: [{ addon: 'desk', term: 'm' }] },
      { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }], addons: [{ addon: 'desk', term: 'm' }] },
    ];
    const together = priceTogether(kiteDecision({ forecast: { streams }, addons: [desk], candidates }), 'B', 'A', ['club']);
    expect(together).toMatchObject({ each: ['540.00', '300.00'], once: [], twice: ['Label desk'] });
  });

  it('is a choice like any other, set against the best single candidate', () => {
    const workbench = workbenchOf(kiteDecision({ forecast: { streams } }));
    const verdict = given(workbench, { kind: 'together', candidates: ['B', 'A'], streams: ['club'], reason: '' });
    // Birch alone: 12 × (30 + 10 + 2) = 504.
    expect(verdict).toMatchObject({ total: '720.00', runnerUp: { candidate: 'B', total: '504.00', margin: '-216.00' } });
    expect(verdict.parts.map(({ streams: through, total }) => [through, total])).toEqual([
      [['Kites'], '480.00'],
      [['Club'], '240.00'],
    ]);
    expect(verdict.shared).toEqual({ once: [], twice: [] });
    expect(choiceOf(verdict, workbench.decision.forecast.streams)).toMatchObject({ candidates: ['B', 'A'], streams: ['club'] });
    expect(priceTogether(kiteDecision(), 'A', 'A', [])).toBeNull();
  });
});

describe('what happens to a verdict afterwards', () => {
  const workbench = workbenchOf(grown);
  const verdict = given(workbench, BIRCH);
  const dearer = (price: string) =>
    workbenchOf({
      ...grown,
      offers: grown.offers.map((offer) =>
        offer.id === 'b' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price }] })) } : offer,
      ),
    });
  const against = (later: Workbench) =>
    since(verdict, chosenNow(giving(later), choiceOf(verdict, later.decision.forecast.streams)), later.decision);

  it('holds while the choice costs less than every other', () => {
    expect(against(dearer('31'))).toMatchObject({ standing: 'holds', dearer: '12.00', isOtherMeasure: false });
  });

  it('is overtaken when another costs less', () => {
    expect(against(dearer('60'))).toMatchObject({ standing: 'overtaken', dearer: '360.00', now: { candidate: 'A' } });
  });

  it('is gone with its candidate, and unusable without a must', () => {
    expect(against(withDecision(workbench, (one) => ({ ...one, candidates: one.candidates.slice(0, 1) })))).toMatchObject({
      standing: 'gone',
      dearer: null,
    });
    expect(against(withDecision(workbench, (one) => ({ ...one, needs: [{ feature: 'stock', level: 'must' }] })))).toMatchObject({
      standing: 'unusable',
      dearer: '0.00',
    });
  });

  it('is not set against figures in another measure', () => {
    expect(against(withDecision(workbench, (one) => ({ ...one, months: 24 })))).toMatchObject({ isOtherMeasure: true, dearer: null });
  });

  it('one chosen although it was dearer holds while it is no worse', () => {
    const odd = given(workbench, { ...BIRCH, candidates: ['A'] });
    const standing = (later: Workbench) =>
      since(odd, chosenNow(giving(later), choiceOf(odd, later.decision.forecast.streams)), later.decision).standing;
    expect(standing(workbench)).toBe('holds');
    expect(standing(dearer('29'))).toBe('overtaken');
  });

  it('stays as it was when it is kept again, and is fixed once with the revisions it was made from', () => {
    const [first] = fixedVerdicts([], [verdict], 7, { s0: 2, s1: 1 });
    expect(first?.madeFrom).toEqual({ revision: 7, sheets: { s0: 2, s1: 1 } });
    if (!first) return;
    const [again] = fixedVerdicts([first], [{ ...verdict, reason: 'another', total: '1.00' }], 9, { s0: 3 });
    expect(again).toEqual(first);
    const copy = asVerdictsOfAnother(decisionSchema.parse({ ...workbench.decision, verdicts: [first] }));
    expect(copy.verdicts?.[0]?.madeFrom).toBeUndefined();
    expect(verdictName(copy.verdicts)).toBe('Birch');
  });

  it('the difference between two verdicts names what changed', () => {
    const later = given(dearer('31'), { ...BIRCH, reason: 'still' }, '2027-02-01');
    const difference = compareVerdicts(verdict, later);
    expect(difference).toMatchObject({ isOtherChoice: false, isOtherReason: true, isOtherMeasure: false, version: null, sales: null });
    expect(difference.totals).toEqual([{ candidate: 'B', label: 'Birch', before: verdict.total, after: later.total, difference: '12.00' }]);
    expect(difference.sheets).toEqual([]);
    expect(difference.conditions.map(({ before }) => before?.kind)).toContain('sales');
    const withSheets = compareVerdicts(
      { ...verdict, madeFrom: { revision: 1, sheets: { s0: 1, s1: 1 } } },
      { ...later, madeFrom: { revision: 5, sheets: { s0: 1, s1: 2 } } },
    );
    expect(withSheets.sheets).toEqual([{ label: 'Birch', before: '2026-11-01', after: '2026-11-01', change: 'newer' }]);
  });
});

describe('what is still open', () => {
  const kinds = (workbench: Workbench, today = '2026-11-25', mayWin: string[] = []) =>
    openQuestions(workbench, priceDecision(assembleDecisionFile(workbench).file), mayWin, today).map(({ kind }) => kind);

  it('with little data: one candidate, one guess, nothing dated', () => {
    const workbench = workbenchOf(kiteDecision({ candidates: kiteDecision().candidates.slice(0, 1) }), '');
    const undated = {
      ...workbench,
      sheets: workbench.sheets.map(({ sheet, ...used }) => ({ ...used, sheet: { ...sheet, seen: undefined } })),
    } as Workbench;
    expect(kinds(undated)).toEqual(['one-candidate', 'sales-guess', 'not-seen', 'no-fee']);
    expect(given(undated, { ...BIRCH, candidates: ['A'] }).strength).toBe('modest');
  });

  it('with more: old sheets, unknown prices, leads that are too small', () => {
    expect(kinds(workbenchOf(grown), '2027-06-01')).toContain('old-sheet');
    const unknown = workbenchOf({
      ...grown,
      offers: grown.offers.map((offer) =>
        offer.id === 'a'
          ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price: null }] })) }
          : offer,
      ),
    });
    const open = openQuestions(unknown, priceDecision(assembleDecisionFile(unknown).file), ['A'], '2026-11-25');
    expect(open.find(({ kind }) => kind === 'price-unknown')?.about).toEqual(['Price of Alder Plan']);
    expect(open.find(({ kind }) => kind === 'close')?.about).toEqual(['Alder']);
    expect(isModest(open)).toBe(true);
  });
});

describe('names of needs', () => {
  it('complete “if you need …”', () => {
    expect(
      featureNames([
        { feature: 'adverts', level: 'want', without: true },
        { feature: 'books', level: 'want', kind: 'connects', to: 'the books', direction: 'both' },
        { feature: 'languages', level: 'must', kind: 'at-least', least: '2' },
        { feature: 'one-stock', level: 'want', label: 'one stock for site and stall' },
      ]),
    ).toEqual({
      'without-adverts': 'to be without adverts',
      'gives-books': 'a connection both ways with the books',
      'takes-books': 'a connection both ways with the books',
      languages: 'at least 2 languages',
      'one-stock': 'one stock for site and stall',
    });
  });
});
