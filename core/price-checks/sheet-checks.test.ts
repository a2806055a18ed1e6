import { describe, expect, it } from 'vitest';
import type { Addon, Plan } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import { ageCheck, contradictionCheck, currencyCheck, nameCheck, paymentFeeCheck, uptimeCheck } from './sheet-checks';

const context = { today: '2027-03-01', base: 'EUR', write: (decimal: string) => `=${decimal}` };
const month = { id: 'm', months: 1, price: '10' };
const plan = (id: string, label: string, more: Partial<Plan> = {}): Plan => ({ id, label, currency: 'EUR', terms: [month], ...more });
const sheet = (plans: Plan[], more: Partial<PriceSheet> = {}, addons: Addon[] = [], kind = 'store-platform'): PriceSheet =>
  ({ kind: 'offer', offer: { id: 'o', vendor: 'Oakum', label: 'Oakum', kind, plans, addons }, ...more }) as PriceSheet;
const processor = (charges: Plan['charges'] = []): PriceSheet => ({
  kind: 'processor',
  processor: { id: 'x', label: 'Cardline', currency: 'EUR', charges },
});

describe('two statements of one figure', () => {
  it('are asked about with the other one, figure by figure', () => {
    const figures = { 'p term 1': { otherwise: '29 by the month' }, 'p term 12': { stated: '258 a year' } };
    expect(contradictionCheck(sheet([plan('p', 'Basic')], { figures }), context)).toEqual([
      {
        check: 'contradiction',
        place: 'p term 1',
        title: 'Stated two ways',
        figures: '29 by the month',
        question: 'Another statement of the same says “29 by the month”. Which of them holds?',
      },
    ]);
    expect(contradictionCheck(sheet([]), context)).toEqual([]);
  });
});

describe('currencies on one sheet', () => {
  it('are listed with the plans and add-ons they belong to, in alphabetical order', () => {
    const desk: Addon = { id: 'd', label: 'Desk', currency: 'EUR', terms: [month] };
    const mixed = sheet([plan('p', 'Basic', { currency: 'USD' }), plan('q', ''), plan('r', 'Plus', { currency: 'USD' })], {}, [desk]);
    expect(currencyCheck(mixed, context)).toEqual([
      {
        check: 'currencies',
        place: '',
        title: 'Several currencies',
        figures: 'EUR USD',
        question: 'One page mostly has one currency. Here: EUR for a plan, Desk; USD for Basic, Plus. Is that what the page says?',
      },
    ]);
  });

  it('are no question where there is one, or none', () => {
    expect(currencyCheck(sheet([plan('p', 'Basic'), plan('q', 'Plus')]), context)).toEqual([]);
    expect(currencyCheck(sheet([]), context)).toEqual([]);
  });
});

describe('names on one sheet', () => {
  it('are told apart whatever their case and the space around them; the later one is asked about', () => {
    expect(nameCheck(sheet([plan('p', 'Basic'), plan('q', ' BASIC '), plan('r', 'Plus')]), context)).toEqual([
      {
        check: 'name',
        place: 'q',
        title: 'Another “ BASIC ”',
        figures: ' BASIC ',
        question: 'Two columns of this sheet have the same name. Give one of them another, or remove it.',
      },
    ]);
  });

  it('may be missing more than once', () => {
    expect(nameCheck(sheet([plan('p', ''), plan('q', '  '), plan('r', '')]), context)).toEqual([]);
  });
});

describe('card fees of a plan that sells', () => {
  const asked = (one: PriceSheet) => paymentFeeCheck(one, context).map(({ place }) => place);

  it('are asked for where nothing is said about them', () => {
    expect(paymentFeeCheck(sheet([plan('p', 'Basic')]), context)).toEqual([
      {
        check: 'payment-fee',
        place: 'p',
        title: 'Basic: card fee',
        figures: '',
        question:
          'Nothing is said about what card payments cost. If orders go only through outside processors, or the plan takes none, say so; else it is missing.',
      },
    ]);
    expect(paymentFeeCheck(sheet([plan('p', '')]), context)[0]?.title).toBe('This plan: card fee');
    const otherFee = { id: 'c', label: 'Sales fee', how: 'per-order' as const, percent: '2' };
    expect(asked(sheet([plan('p', 'Basic', { charges: [otherFee] })]))).toEqual(['p']);
  });

  it('are not asked for where they stand, were marked as not there, or nothing is sold', () => {
    const card = { id: 'c', label: 'Cards', how: 'per-order' as const, percent: '2', bucket: 'payment' as const };
    const other = { ...card, id: 'd', bucket: 'transaction' as const };
    expect(asked(sheet([plan('p', 'Basic', { charges: [other, card] })]))).toEqual([]);
    expect(asked(sheet([plan('p', 'Basic', { terms: [] })]))).toEqual([]);
    expect(asked(sheet([plan('p', 'Basic'), plan('q', 'Plus')], { marks: { 'p charge ["payment"]': 'not-offered' } }))).toEqual(['q']);
    expect(asked(sheet([plan('p', 'Basic')], {}, [], 'hosting'))).toEqual([]);
    expect(asked(processor())).toEqual([]);
  });
});

describe('a promised uptime', () => {
  const uptime = (value: string | boolean, feature = 'uptime') =>
    uptimeCheck(sheet([plan('p', 'Basic', { features: { [feature]: value } })]), context);

  it('is told in what is lost a year', () => {
    expect(uptime('99.9')).toEqual([
      {
        check: 'uptime',
        place: 'p feature uptime',
        title: '=99.9% uptime',
        figures: '99.9',
        question: 'That leaves =8.8 hours a year in which nothing can be sold. Does the vendor pay anything back for it?',
      },
    ]);
  });

  it.each([
    ['90', '=877 hours'],
    ['99.88', '=11 hours'],
    ['99.99', '=53 minutes'],
  ])('of %s %% leaves %s', (percent, words) => {
    expect(uptime(percent, 'availability')[0]?.question).toContain(`leaves ${words} a year`);
  });

  it('and in what this seller would not sell in that time', () => {
    const [finding] = uptimeCheck(sheet([plan('p', 'Basic', { features: { uptime: '99.9' } })]), { ...context, salesAYear: '88284' });
    expect(finding?.question).toBe(
      'That leaves =8.8 hours a year in which nothing can be sold, about =88 EUR of your sales. Does the vendor pay anything back for it?',
    );
  });

  it('is no question where it is all of the time, where it is no percentage, and where it is something else', () => {
    for (const value of ['100', '89.9', true]) expect(uptime(value)).toEqual([]);
    expect(uptime('99.9', 'discount')).toEqual([]);
  });
});

describe('the age of a sheet', () => {
  it('is asked about from half a year on', () => {
    expect(ageCheck(sheet([], { seen: '2026-09-02' }), context)).toEqual([
      {
        check: 'age',
        place: '',
        title: 'Seen long ago',
        figures: '2026-09-02',
        question: 'Somebody last looked at this page 180 days ago. Prices change about once a year: look again, and set the day anew.',
      },
    ]);
    expect(ageCheck(sheet([], { seen: '2026-09-03' }), context)).toEqual([]);
    expect(ageCheck(sheet([]), context)).toEqual([]);
  });

  it('an offer is over on the day after its last', () => {
    const until = (day?: string) => ageCheck(sheet([], { figures: { 'p term 1': day === undefined ? {} : { until: day } } }), context);
    expect(until('2027-02-28')).toEqual([
      {
        check: 'offer-over',
        place: 'p term 1',
        title: 'The offer is over',
        figures: '2027-02-28',
        question: 'It held until 28 February 2027. Take the offer off, or look whether it has been prolonged.',
      },
    ]);
    expect(until('2027-03-01')).toEqual([]);
    expect(until()).toEqual([]);
  });
});
