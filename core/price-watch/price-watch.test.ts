import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { lineUp } from '../comparison/line-up';
import { assembleDecisionFile } from '../assembly/assemble';
import { type PriceSheet, priceSheetSchema } from '../decision/price-sheet';
import { takeApart } from '../decision/take-apart';
import type { Workbench } from '../decision/workbench';
import { kiteDecision } from '../tests/kite-decision';
import { withPart } from '../price-sheet/parts';
import { typedSheet } from '../tests/typed-sheet';
import { giveVerdict } from '../verdict/give';
import { withFoundChanges } from './apply-changes';
import { effectOnDecision } from './effect';
import { foundChangesSchema } from './found-change';
import { readPricingPage } from './read-pricing-page';

interface Offered {
  name: string;
  monthly?: string;
  intro?: string;
  yearly?: string;
}

/** A pricing page with schema.org data, and a table of fees if there is one. */
function page(vendor: string, plans: readonly Offered[], table = ''): string {
  const unit = (unitCode: string, price: string, more: object = {}) => ({
    '@type': 'UnitPriceSpecification',
    priceCurrency: 'EUR',
    unitCode,
    price,
    ...more,
  });
  const offers = plans.map(({ name, monthly, intro, yearly }) => ({
    '@type': 'Offer',
    name,
    priceSpecification: [
      ...(intro ? [unit('MON', intro, { billingStart: 0, billingDuration: 2 })] : []),
      ...(monthly ? [unit('MON', monthly, intro ? { billingStart: 2 } : {})] : []),
      ...(yearly ? [unit('ANN', yearly)] : []),
    ],
  }));
  return `<html><head><script type="application/ld+json">${JSON.stringify({ '@type': 'Product', brand: { '@type': 'Brand', name: vendor }, offers })}</script></head><body>${table}</body></html>`;
}

let next = 0;
const newId = () => `new-${next++}`;
const typed = typedSheet('Tidewrack', { Small: '10/mo or 96 billed yearly, 2.7% + 25c', Plus: '34/mo' });
/** Small costs 1 for each of the first two months. */
const sheet = withPart(typed, 'tidewrack-small', (part) => ({
  ...part,
  terms: (part.terms ?? []).map((term) => (term.months === 1 ? { ...term, intro: { price: '1', periods: 2 } } : term)),
}));
const found = (html: string, of: PriceSheet = sheet) => {
  const finding = readPricingPage(of, html, newId);
  if (!finding.ok) throw new Error(finding.problem);
  return finding.changes;
};
const SAME = [
  { name: 'Small', monthly: '10', intro: '1', yearly: '96' },
  { name: 'Plus', monthly: '34' },
];

describe('a pricing page looked at again', () => {
  it('finds nothing where nothing has changed, whatever order or case plans stand in', () => {
    expect(
      found(
        page(
          'Tidewrack',
          [...SAME].reverse().map(({ name, ...rest }) => ({ name: name.toUpperCase(), ...rest })),
        ),
      ),
    ).toEqual([]);
    expect(
      found(
        page(
          'Tidewrack',
          SAME.map(({ name, ...rest }) => ({ name: `Tidewrack ${name}`, ...rest })),
        ),
      ),
    ).toEqual([]);
  });

  it('says what has changed figure by figure, with both', () => {
    expect(
      found(
        page('Tidewrack', [
          { name: 'Small', monthly: '12', intro: '1', yearly: '96' },
          { name: 'Plus', monthly: '34.00', yearly: '300' },
        ]),
      ).map(({ kind, plan, what, before, after }) => [kind, plan, what, before, after]),
    ).toEqual([
      [
        'term',
        'Small',
        'paid by the month',
        '10 by the month (the first 2 payments 1 each) EUR',
        '12 by the month (the first 2 payments 1 each) EUR',
      ],
      ['term', 'Plus', 'paid by the year', 'not stated', '300 by the year EUR'],
    ]);
  });

  it('finds an offer that is over', () => {
    const [change, ...others] = found(
      page('Tidewrack', [
        { name: 'Small', monthly: '10', yearly: '96' },
        { name: 'Plus', monthly: '34' },
      ]),
    );
    expect(others).toEqual([]);
    expect(change?.after).toBe('10 by the month EUR');
  });

  it('finds a plan that is split: one gone, two new', () => {
    const changes = found(
      page('Tidewrack', [
        { name: 'Small', monthly: '10', intro: '1', yearly: '96' },
        { name: 'Plus One', monthly: '20' },
        { name: 'Plus Two', monthly: '44' },
      ]),
    );
    expect(changes.map(({ kind, plan }) => [kind, plan])).toEqual([
      ['new-plan', 'Plus One'],
      ['new-plan', 'Plus Two'],
      ['plan-gone', 'Plus'],
    ]);
    const after = withFoundChanges(sheet, changes, { address: 'https://tidewrack.invalid/prices', on: '2027-02-01' });
    expect(after.kind === 'offer' && after.offer.plans.map(({ label, terms }) => [label, terms[0]?.price])).toEqual([
      ['Small', '10'],
      ['Plus One', '20'],
      ['Plus Two', '44'],
    ]);
  });

  it('reads fees from lines of a table that bear a fee’s name, and leaves what it cannot read', () => {
    const label = sheet.kind === 'offer' ? (sheet.offer.plans[0]?.charges?.[0]?.label ?? '') : '';
    const table = (fee: string) =>
      `<table><tr><th></th><th>Small</th><th>Plus</th></tr><tr><th>${label}</th><td>${fee}</td><td>–</td></tr><tr><th>Something else</th><td>9%</td><td>9%</td></tr></table>`;
    expect(found(page('Tidewrack', SAME, table('2.7% + 0.25')))).toEqual([]);
    const [change] = found(page('Tidewrack', SAME, table('2.9% + 0.25')));
    expect(change).toMatchObject({
      kind: 'charge',
      plan: 'Small',
      before: '2.7% + 0.25 per order EUR',
      after: '2.9% + 0.25 per order EUR',
    });
    expect(found(page('Tidewrack', SAME, table('ask us')))).toEqual([]);
  });

  describe('without data in it', () => {
    const shown = (small: string, plus: string, more = '') =>
      `<main><h1>Tidewrack plans</h1><section><h2>Small</h2><p>${small}</p><ul><li>2.7% + €0.25 per card payment</li></ul></section><section><h2>Plus</h2><p>${plus}</p><ul><li>5 sites</li></ul></section>${more}</main>`;
    const visible = typedSheet('Tidewrack', { Small: '10/mo, 2.7% + 25c', Plus: '34/mo' });

    it('is read by what it shows: nothing where nothing has changed, else figure by figure', () => {
      expect(found(shown('€10 a month', '€34 a month'), visible)).toEqual([]);
      expect(
        found(shown('€12 a month', '€34 a month').replace('2.7%', '2.9%'), visible).map(({ plan, what, after }) => [plan, what, after]),
      ).toEqual([
        ['Small', 'paid by the month', '12 by the month EUR'],
        ['Small', 'Card fee', '2.9% + 0.25 per order EUR'],
      ]);
    });

    it('is said to have changed too much where few of its plans can be found', () => {
      const many = typedSheet('Tidewrack', { Small: '10/mo', Middle: '20/mo', Plus: '34/mo', Trade: '60/mo', Works: '90/mo' });
      const finding = readPricingPage(many, shown('€10 a month', '€34 a month'), newId);
      expect(finding.ok ? '' : finding.problem).toMatch(/only 2 of the 5 plans/);
    });
  });

  it.each([
    ['a page without prices', '<html><body>Welcome</body></html>', /no price was found/],
    ['another vendor’s page', page('Oakum', [{ name: 'Shared', monthly: '3' }]), /names none of the plans/],
    ['half a page', page('Tidewrack', SAME).slice(0, 120), /no price was found/],
    ['rubbish', '\u0000\u0001<<<>>>{{{', /no price was found/],
  ])('%s changes nothing and is said', (_what, html, problem) => {
    const finding = readPricingPage(sheet, html, newId);
    expect(finding.ok ? '' : finding.problem).toMatch(problem);
  });

  it('markup in names stays text', () => {
    const [change] = found(page('Tidewrack', [...SAME, { name: '<img src=x onerror=alert(1)>', monthly: '1' }]));
    expect(change?.plan).toBe('<img src=x onerror=alert(1)>');
  });

  it('what was found can be kept, and taken over gives a sheet that holds it, seen that day', () => {
    const changes = found(
      page('Tidewrack', [
        { name: 'Small', monthly: '12', yearly: '99' },
        { name: 'Plus', monthly: '34' },
        { name: 'Max', yearly: '900' },
      ]),
    );
    expect(foundChangesSchema.parse(JSON.parse(JSON.stringify(changes)))).toEqual(changes);
    const after = withFoundChanges(sheet, changes, { address: 'https://tidewrack.invalid/prices', on: '2027-02-01' });
    expect(priceSheetSchema.safeParse(after).error?.issues).toBeUndefined();
    expect(after.seen).toBe('2027-02-01');
    expect(after.figures?.['tidewrack-small term 1']).toMatchObject({ where: 'https://tidewrack.invalid/prices', seen: '2027-02-01' });
    expect(
      found(
        page('Tidewrack', [
          { name: 'Small', monthly: '12', yearly: '99' },
          { name: 'Plus', monthly: '34' },
          { name: 'Max', yearly: '900' },
        ]),
        after,
      ),
    ).toEqual([]);
    // What is left out stays as it was.
    const [first] = changes;
    const some = withFoundChanges(sheet, first ? [first] : [], { address: 'x', on: '2027-02-01' });
    expect(some.kind === 'offer' && some.offer.plans.map(({ terms }) => terms.map(({ price }) => price))).toEqual([['12', '96'], ['34']]);
  });

  it('bears the same name each time, so that what was left is known again', () => {
    const html = page('Tidewrack', [
      { name: 'Small', monthly: '12', yearly: '96' },
      { name: 'Max', yearly: '900' },
    ]);
    expect(found(html).map(({ id }) => id)).toEqual(found(html).map(({ id }) => id));
  });
});

describe('what a change does to a decision', () => {
  function kites(alder: string): Workbench {
    const file = kiteDecision();
    let sheets = 0;
    return takeApart(
      {
        ...file,
        offers: file.offers.map((offer) =>
          offer.id === 'b'
            ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price: alder }] })) }
            : offer,
        ),
      },
      () => `s${sheets++}`,
      '2026-11-01',
    );
  }

  it('without a verdict it is about the cheapest: dearer, and its lead down', () => {
    // Birch: 12 × (30 + 10) = 480 and Alder 720; then 12 × (45 + 10) = 660.
    expect(effectOnDecision(kites('30'), kites('45'))).toMatchObject({
      isVerdict: false,
      currency: 'EUR',
      parts: [{ label: 'Birch' }],
      since: { standing: 'holds', dearer: '180.00', then: { margin: '240.00' }, now: { margin: '60.00' } },
    });
  });

  it('with a verdict it is about what was chosen, even if it is not the cheapest', () => {
    const workbench = kites('30');
    const priced = priceDecision(assembleDecisionFile(workbench).file);
    const verdict = giveVerdict(
      {
        workbench,
        priced,
        lineUp: lineUp(priced),
        basis: { conditions: [], thresholds: [], suits: {}, route: null, mayWin: [] },
        chance: null,
        version: 'expected',
        today: '2026-11-25',
      },
      { kind: 'candidate', candidates: ['B'], reason: '' },
      'v',
    );
    const given = (of: Workbench): Workbench => ({ ...of, decision: { ...of.decision, verdicts: verdict ? [verdict] : [] } });
    expect(effectOnDecision(given(workbench), given(kites('70')))).toMatchObject({
      isVerdict: true,
      currency: 'EUR',
      since: { standing: 'overtaken', dearer: '480.00', now: { candidate: 'A', margin: '-240.00' } },
    });
  });

  it('says so where no candidate can be chosen', () => {
    const none = kites('30');
    expect(effectOnDecision({ ...none, decision: { ...none.decision, candidates: [] } }, none)).toBeNull();
  });
});
