import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import type { PriceSheet } from '../decision/price-sheet';
import type { Workbench } from '../decision/workbench';
import { readDecisionFile } from '../decision-file/read';
import { fitTable } from '../fit/criteria';
import { fits } from '../fit/fit';
import { smallDecision } from '../tests/small-decision';
import { typedProcessor, typedSheet } from '../tests/typed-sheet';
import { boughtTwice, superfluousParts } from './bought-twice';
import { decisionProposals, paymentsFor, proposalFile } from './decision-proposals';
import { withFollowed } from './followed';
import { toFindOut } from './to-find-out';

const FEE = ['of each order, the fee for card payments'];
const tidewrack = typedSheet(
  'Tidewrack',
  { Small: '10/mo, 2% card fee, checkout: yes, mailings: no', Plus: '34/mo, 2% card fee, checkout: yes, mailings: yes' },
  { answers: FEE },
);
const oakum = typedSheet('Oakum', { Shared: '3/mo, own domain: yes, checkout: no', Quick: '5/mo, own domain: yes' });
const saltwort = typedSheet('Saltwort', { Shop: '6/mo, checkout: yes, own domain: no', Fancy: '4/mo, own domain: no, checkout: no' });
const tally = typedProcessor('Tally', '1.5% + 10c per order', { answers: FEE });

function workbenchOf(sheets: readonly PriceSheet[], features: readonly string[], more: Partial<Workbench['decision']> = {}): Workbench {
  return {
    decision: smallDecision({ needs: features.map((feature) => ({ feature, level: 'must' as const })), ...more }, '10'),
    sheets: sheets.map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet })),
  };
}

const proposed = (workbench: Workbench) =>
  Object.fromEntries(
    decisionProposals(workbench).vendors.map(({ label, proposed: found }) => [
      label,
      found
        ? `${found.made.plans.map(({ plan }) => plan).join('+')} ${JSON.stringify(found.made.payments ?? 'own').replaceAll('"', '')} ${found.total}`
        : null,
    ]),
  );

describe('what is proposed for a decision', () => {
  it('is the cheapest way of each vendor; a platform without a fee for payments takes none itself', () => {
    // Tidewrack: 120 + 2 % of 1200. Oakum: 36 + 1.5 % of 1200 + 120 × 0.10 through Tally.
    expect(proposed(workbenchOf([tidewrack, oakum, tally], []))).toEqual({
      Tidewrack: 'tidewrack-small own 144.00',
      Oakum: 'oakum-shared tally-tally 66.00',
    });
    expect(proposed(workbenchOf([oakum], []))).toEqual({ Oakum: 'oakum-shared own 36.00' });
  });

  it('counts what is owned as met, and as a cost from when it is paid until', () => {
    const owned = [{ id: 'mail', label: 'Mailing tool', features: ['mailings'], amount: '20', months: 1, paidUntil: '2027-06' }];
    expect(proposed(workbenchOf([tidewrack], ['mailings']))['Tidewrack']).toBe('tidewrack-plus own 432.00');
    // Small with the tool from July: 144 + 6 × 20. It comes to the candidate by itself, and costs there the same.
    const workbench = workbenchOf([tidewrack], ['mailings'], { owned });
    expect(proposed(workbench)['Tidewrack']).toBe('tidewrack-small own 264.00');
    const made = decisionProposals(workbench).vendors[0]?.proposed?.made;
    const { file } = assembleDecisionFile({
      ...workbench,
      decision: { ...workbench.decision, candidates: [{ id: 'A', label: 'A', plans: [], ...made }] },
    });
    expect(priceDecision(readDecisionFile(file)).result.candidates[0]).toMatchObject({ total: '264.00', usable: true });
    expect(
      proposed(
        workbenchOf([tidewrack], ['mailings'], {
          owned: [{ ...owned[0], id: 'm', label: 'm', features: ['mailings'], amount: '60', months: 1 }],
        }),
      )['Tidewrack'],
    ).toBe('tidewrack-plus own 432.00');
  });

  it('where none does the job alone, is the cheapest pair that does', () => {
    const workbench = workbenchOf([oakum, saltwort, tally], ['checkout', 'own-domain']);
    const { vendors, pair } = decisionProposals(workbench);
    expect(vendors.map(({ proposed: alone }) => alone)).toEqual([null, null]);
    expect(pair).toMatchObject({
      labels: ['Oakum', 'Saltwort'],
      made: { plans: [{ plan: 'oakum-shared' }, { plan: 'saltwort-shop' }], payments: 'tally-tally' },
      total: '138.00',
    });
    expect(decisionProposals(workbenchOf([oakum, tidewrack, tally], ['own-domain'])).pair).toBeNull();
    expect(decisionProposals(workbenchOf([oakum, saltwort], ['own-domain', 'checkout', 'moon'])).pair).toBeNull();
  });
});

describe('what is bought twice', () => {
  it('is what several parts of a candidate have', () => {
    const workbench = workbenchOf([tidewrack, oakum, saltwort], []);
    const plan = (id: string, term: string) => ({ plan: id, term });
    const terms = decisionProposals(workbench).vendors.map(({ proposed: found }) => found?.made.plans[0]?.term ?? '');
    const candidate = {
      id: 'A',
      label: 'A',
      plans: [plan('tidewrack-plus', terms[0] ?? ''), plan('saltwort-shop', terms[2] ?? '')],
      extras: [{ label: 'Mailing tool', amount: '9', months: 1, features: { mailings: true } }],
    };
    expect(boughtTwice(assembleDecisionFile(workbench).file, candidate)).toEqual([
      { feature: 'checkout', parts: ['Tidewrack Plus', 'Saltwort Shop'] },
      { feature: 'mailings', parts: ['Tidewrack Plus', 'Mailing tool'] },
    ]);
    const asked = (features: string[]) =>
      superfluousParts(assembleDecisionFile(workbenchOf([tidewrack, oakum, saltwort], features)).file, candidate);
    expect(asked(['mailings'])).toEqual(['Tidewrack Plus', 'Mailing tool']);
    expect(asked(['mailings', 'checkout'])).toEqual(['Tidewrack Plus', 'Saltwort Shop', 'Mailing tool']);
    expect(
      superfluousParts(assembleDecisionFile(workbenchOf([tidewrack], ['mailings'])).file, {
        ...candidate,
        plans: [plan('tidewrack-plus', terms[0] ?? '')],
        extras: [],
      }),
    ).toEqual([]);
  });
});

describe('a candidate that follows', () => {
  const candidate = { id: 'A', label: 'Tidewrack Small', plans: [{ plan: 'tidewrack-small', term: 'tidewrack-0' }], hours: { setup: '5' } };
  const followed = { candidate: 'A', offer: 'tidewrack', seen: { on: '2026-11-25', made: 'by the month', total: '144.00' } };
  const workbench = workbenchOf([tidewrack], ['mailings'], { candidates: [candidate], followed: [followed] });

  it('is made of what is proposed now, keeps what else it has, and its own name goes along', () => {
    const live = withFollowed(workbench, decisionProposals(workbench)).decision.candidates[0];
    expect(live).toMatchObject({ id: 'A', label: 'Tidewrack Plus', plans: [{ plan: 'tidewrack-plus' }], hours: { setup: '5' } });
    const named = { ...workbench, decision: { ...workbench.decision, candidates: [{ ...candidate, label: 'The usual' }] } };
    expect(withFollowed(named, decisionProposals(named)).decision.candidates[0]?.label).toBe('The usual');
  });

  it('stays as it is where it is pinned, or nothing is proposed', () => {
    const pinned = { ...workbench, decision: { ...workbench.decision, followed: [{ ...followed, pinned: true }] } };
    expect(withFollowed(pinned, decisionProposals(pinned))).toBe(pinned);
    const impossible = workbenchOf([tidewrack], ['moon'], { candidates: [candidate], followed: [followed] });
    expect(withFollowed(impossible, decisionProposals(impossible))).toBe(impossible);
  });
});

describe('what is to find out', () => {
  function questions(workbench: Workbench) {
    const priced = priceDecision(readDecisionFile(assembleDecisionFile(workbench).file));
    const found = toFindOut({
      workbench,
      priced,
      proposals: decisionProposals(workbench),
      fits: fits(fitTable(workbench, priced.pricing.file)),
    });
    return found.map(
      ({ partLabel, asks, effect }) =>
        `${partLabel}: ${asks.kind === 'need' ? asks.need.feature : asks.label} ${effect.kind}${effect.kind === 'cheapest' ? ` ${effect.by}` : ''}`,
    );
  }
  const silent = typedSheet(
    'Silent',
    { Cheap: '5/mo, 2% card fee', Dear: '99/mo, 2% card fee', Asking: 'price on request, 2% card fee, mailings: yes' },
    { answers: FEE },
  );

  it('begins with what could change which is cheapest, by how much', () => {
    // Plus is the cheapest that is known: 432. Cheap would be 60 + 24 = 84 if it had mailings.
    expect(questions(workbenchOf([tidewrack, silent], ['mailings']))).toEqual([
      'Silent Cheap: mailings cheapest 348',
      'Silent Dear: mailings none',
      'Silent Asking: what it costs none',
    ]);
  });

  it('says so where nothing can be used yet', () => {
    expect(questions(workbenchOf([silent], ['mailings']))[0]).toBe('Silent Cheap: mailings cheapest null');
  });

  it('goes on with prices of candidates that might be cheapest, and with what could change which fits best', () => {
    const workbench = workbenchOf([tidewrack, silent], ['mailings'], {
      needs: [
        { feature: 'mailings', level: 'must' },
        { feature: 'stamps', level: 'want' },
      ],
      candidates: [
        { id: 'A', label: 'A', plans: [{ plan: 'tidewrack-plus', term: 'tidewrack-3' }] },
        { id: 'B', label: 'B', plans: [{ plan: 'silent-asking', term: 'silent-4' }] },
      ],
    });
    const termOf = (plan: string) =>
      workbench.sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.plans : [])).find(({ id }) => id === plan)?.terms[0]
        ?.id ?? '';
    const candidates = workbench.decision.candidates.map((one) => ({
      ...one,
      plans: one.plans.map(({ plan }) => ({ plan, term: termOf(plan) })),
    }));
    const found = questions({ ...workbench, decision: { ...workbench.decision, candidates } });
    expect(found.slice(0, 2)).toEqual(['Silent Asking: what it costs cheapest 408', 'Silent Cheap: mailings cheapest 348']);
    expect(found.filter((one) => one.endsWith('fit'))).toEqual(['Tidewrack Plus: stamps fit', 'Silent Asking: stamps fit']);
  });
});

describe('a pair beside one that does the job alone', () => {
  it('is told with how much more or less it costs', () => {
    const alone = (price: string) =>
      typedSheet('Brindle', { All: `${price}/mo, 0% card fee, own domain: yes, checkout: yes` }, { answers: FEE });
    const above = (price: string) =>
      decisionProposals(workbenchOf([oakum, saltwort, alone(price), tally], ['checkout', 'own-domain'])).pair?.above;
    // The pair costs 138, see above.
    expect(above('20')).toBe('-102.00');
    expect(above('5')).toBe('78.00');
    expect(decisionProposals(workbenchOf([oakum, saltwort, tally], ['checkout', 'own-domain'])).pair?.above).toBeNull();
  });

  it('has to be without what must not be, on both sides', () => {
    const needs = [
      { feature: 'checkout', level: 'must' as const },
      { feature: 'own-domain', level: 'must' as const },
      { feature: 'adverts', level: 'must' as const, without: true as const },
    ];
    const shop = (adverts: string) => typedSheet('Saltwort', { Shop: `6/mo, checkout: yes, own domain: no, adverts: ${adverts}` });
    const host = (adverts: string) => typedSheet('Oakum', { Shared: `3/mo, own domain: yes, checkout: no, adverts: ${adverts}` });
    const offers = (a: string, b: string) => decisionProposals(workbenchOf([shop(a), host(b), tally], [], { needs })).pair?.labels;
    expect(offers('no', 'no')).toEqual(['Saltwort', 'Oakum']);
    expect(offers('yes', 'no')).toBeUndefined();
    expect(offers('no', 'yes')).toBeUndefined();
  });

  it('is the cheapest of several, whichever comes first', () => {
    const shops = ['Adder', 'Brook', 'Cove'].map((name, at) =>
      typedSheet(name, { Shop: `${[9, 4, 7][at]}/mo, checkout: yes, own domain: no` }),
    );
    const hosts = ['Dale', 'Eel'].map((name, at) => typedSheet(name, { Host: `${[3, 2][at]}/mo, checkout: no, own domain: yes` }));
    const best = (sheets: readonly PriceSheet[]) => decisionProposals(workbenchOf([...sheets, tally], ['checkout', 'own-domain'])).pair;
    // 12 × (4 + 2), and 1.5 % of 1,200 + 120 × 0.10 through Tally.
    expect(best([...shops, ...hosts])).toMatchObject({ labels: ['Brook', 'Eel'], total: '102.00' });
    expect(best([...hosts, ...shops].reverse())).toMatchObject({ labels: ['Brook', 'Eel'], total: '102.00' });
  });
});

describe('what became of each plan', () => {
  it('is told with its name, its best way and how far it is above the least of all', () => {
    const brindle = typedSheet(
      'Brindle',
      { Shop: '5/mo, 2% card fee, mailings: no', Fancy: '6/mo, 2% card fee, mailings: no' },
      { answers: FEE },
    );
    const { vendors } = decisionProposals(workbenchOf([tidewrack, brindle], []));
    expect(vendors.map(({ proposed: found }) => [found?.total, found?.above])).toEqual([
      ['144.00', '60.00'],
      ['84.00', '0.00'],
    ]);
    expect(vendors[0]).toMatchObject({ offer: 'tidewrack', label: 'Tidewrack', kind: 'store-platform', renewals: [] });
    expect(vendors[0]?.plans.map(({ plan, label, best }) => [plan, label, best?.made.plans[0]?.plan, best?.total])).toEqual([
      ['tidewrack-small', 'Small', 'tidewrack-small', '144.00'],
      ['tidewrack-plus', 'Plus', 'tidewrack-plus', '432.00'],
    ]);
    const [, barred] = decisionProposals(workbenchOf([tidewrack, brindle], ['mailings'])).vendors;
    expect(barred?.proposed).toBeNull();
    expect(barred?.plans.map(({ label, best }) => [label, best])).toEqual([
      ['Shop', null],
      ['Fancy', null],
    ]);
  });

  it('of a vendor without a label of its own has the vendor’s name', () => {
    const bare: PriceSheet = tidewrack.kind === 'offer' ? { ...tidewrack, offer: { ...tidewrack.offer, label: '' } } : tidewrack;
    expect(decisionProposals(workbenchOf([bare], [])).vendors[0]?.label).toBe('Tidewrack');
  });
});

describe('what is searched', () => {
  const owned = { id: 'mail', label: 'Mailing tool', features: ['mailings'], amount: '20', months: 1 };
  const addonOf = (more: object, decision: Partial<Workbench['decision']> = {}) =>
    proposalFile(workbenchOf([tidewrack], [], { owned: [{ ...owned, ...more }], ...decision })).addons;

  it('has what is owned as an add-on that begins to cost when it is no longer paid for', () => {
    const mailing = { id: 'owned.mail', label: 'Mailing tool', currency: 'EUR', features: { mailings: true } };
    expect(addonOf({})).toEqual([{ ...mailing, terms: [{ id: 'goes-on', months: 1, price: '20' }] }]);
    expect(addonOf({ paidUntil: '2026-12' })).toEqual([{ ...mailing, terms: [{ id: 'goes-on', months: 1, price: '20' }] }]);
    expect(addonOf({ paidUntil: '2025-01' })).toEqual([{ ...mailing, terms: [{ id: 'goes-on', months: 1, price: '20' }] }]);
    expect(addonOf({ paidUntil: '2027-03' })).toEqual([{ ...mailing, terms: [{ id: 'goes-on', months: 1, price: '20', trialDays: 90 }] }]);
    expect(addonOf({ months: 0, paidUntil: '2027-03' })).toEqual([{ ...mailing, terms: [{ id: 'goes-on', months: 0, price: '0' }] }]);
  });

  it('has nothing owned in a currency without a rate', () => {
    expect(addonOf({ currency: 'USD' })).toEqual([]);
    expect(addonOf({ currency: 'USD' }, { rates: { USD: '0.9' } })).toMatchObject([{ currency: 'USD' }]);
  });

  it('has no add-ons that bring what a candidate must be without', () => {
    const sheet = typedSheet('Brindle', { Shop: '9/mo' }, { addons: { Adverts: '2/mo, with adverts', Labels: '3/mo, with labels' } });
    const labels = (level: 'must' | 'want', without: boolean) =>
      proposalFile(
        workbenchOf([sheet], [], { needs: [{ feature: 'adverts', level, ...(without ? { without } : {}) }] }),
      ).offers[0]?.addons?.map(({ label }) => label);
    expect(labels('must', true)).toEqual(['Labels']);
    expect(labels('want', true)).toEqual(['Adverts', 'Labels']);
    expect(labels('must', false)).toEqual(['Adverts', 'Labels']);
  });
});

describe('what a candidate is to be made of', () => {
  it('names add-ons with their term and count where there is one to name', () => {
    const sheet = typedSheet('Brindle', { Shop: '9/mo, 1 seat' }, { addons: { Seat: '2/mo, 1 seat', Club: '3/mo, with club' } });
    const free = sheet.kind === 'offer' ? sheet.offer.addons?.map((one) => (one.label === 'Club' ? { ...one, terms: [] } : one)) : [];
    const sheets = [sheet.kind === 'offer' ? { ...sheet, offer: { ...sheet.offer, addons: free } } : sheet];
    const made = (staff: string, features: string[]) =>
      decisionProposals(
        workbenchOf(sheets, features, {
          forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: '1', orderValue: '1' }], drivers: { staff } },
        }),
      ).vendors[0]?.proposed?.made;
    const plans = [{ plan: 'brindle-shop', term: expect.any(String) as string }];
    const seat = { addon: 'brindle-seat', term: expect.any(String) as string };
    expect(made('1', [])).toStrictEqual({ plans });
    expect(made('2', [])).toStrictEqual({ plans, addons: [seat] });
    expect(made('3', ['club'])).toStrictEqual({ plans, addons: [{ ...seat, count: 2 }, { addon: 'brindle-club' }] });
  });
});

describe('who can take the payments', () => {
  const fileWith = (...processors: string[]) =>
    ({ processors: processors.map((id) => ({ id, label: id, currency: 'EUR' })) }) as unknown as Parameters<typeof paymentsFor>[0];
  const fee = (more: object) => ({ id: 'f', label: 'Fee', how: 'per-order' as const, percent: '2', ...more });
  const offer = (charges?: ReturnType<typeof fee>[]) => ({
    plans: [
      { id: 'q', label: 'q', currency: 'EUR', terms: [] },
      { id: 'p', label: 'p', currency: 'EUR', terms: [], ...(charges ? { charges } : {}) },
    ],
  });

  it.each([
    ['itself and outside, where any plan has a fee for it', offer([fee({ bucket: 'payment' })]), ['own', 'tally']],
    ['outside only, where no plan has one', offer(), ['tally']],
    ['outside only, where the fee is for sales', offer([fee({})]), ['tally']],
    ['outside only, where the fee is for outside payments', offer([fee({ bucket: 'payment', only: { payments: 'outside' } })]), ['tally']],
    ['itself too, where the fee is for its own', offer([fee({ bucket: 'payment', only: { payments: 'own' } })]), ['own', 'tally']],
  ])('%s', (_name, one, expected) => expect(paymentsFor(fileWith('tally'), one)).toEqual(expected));

  it('itself where there is nobody else', () => {
    expect(paymentsFor(fileWith(), offer())).toEqual(['own']);
    const { processors: _none, ...without } = fileWith();
    expect(paymentsFor(without, offer())).toEqual(['own']);
  });
});
