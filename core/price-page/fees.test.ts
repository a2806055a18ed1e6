import { describe, expect, it } from 'vitest';
import { statementSentence, withPoint } from '../price-phrase/price-sentence';
import { feesIn } from './fees';
import { unitChargeIn } from './unit-charges';

const fees = (plain: string, heading = '') => feesIn(plain, { heading }).map(({ statement }) => statementSentence(statement, withPoint));

describe('fees of sales and payments', () => {
  it.each([
    ['3% transaction fee on sales', ['Sales fee (transaction): 3% per order']],
    ['No transaction fees', ['Sales fee (transaction): 0% per order']],
    ['We keep nothing of your sales', ['Sales fee (transaction): 0% per order']],
    ['You keep 95% of every sale', ['Sales fee (transaction): 5% per order']],
    ['Keep 100% of your earnings', ['Sales fee (transaction): 0% per order']],
    ['We keep 12% of each sale', ['Sales fee (transaction): 12% per order']],
    ['Authors earn 70% of the list price', ['Sales fee (transaction): 30% per order']],
    ['92.5% goes to you', ['Sales fee (transaction): 7.5% per order']],
    ['You keep everything', ['Sales fee (transaction): 0% per order']],
    [
      'takes 1.5% of what you sell on top of card fees (2.9% + ¤0.3)',
      ['Sales fee (transaction): 1.5% per order', 'Card fee (payment): 2.9% + 0.3 per order'],
    ],
    ['2.5% + ¤0.49 per paid ticket', ['Sales fee (transaction): 2.5% per order', 'Tickets (transaction): 0.49 per unit of tickets']],
    ['9% of what you earn', ['Sales fee (transaction): 9% per order']],
    ['2.7% + ¤0.29 per card payment', ['Card fee (payment): 2.7% + 0.29 per order']],
    ['Third-party payment fee 2%', ['With an outside processor (transaction): 2% per order, with an outside processor']],
    ['2.9% + ¤0.3, charged by your own payment provider', ['Card fee (payment): 2.9% + 0.3 per order']],
    ['10% of each sale, payment processing included', ['Sales fee (transaction): 10% per order']],
    ['Paid memberships (no fee)', ['Sales fee (transaction): 0% per order']],
    [
      'Payments cost 2.9% + ¤0.3, from abroad 1.5% more',
      ['Card fee (payment): 2.9% + 0.3 per order', 'Cards from abroad (payment): 1.5% per order, only with cards international'],
    ],
    [
      '1.5% for domestic cards, others 3%',
      [
        'Domestic cards (payment): 1.5% per order, only with cards domestic',
        'Cards from abroad (payment): 3% per order, only with cards international',
      ],
    ],
    ['1.8% 3rd-party payment providers', ['With an outside processor (transaction): 1.8% per order, with an outside processor']],
    [
      'Card fees are 1.5% + ¤0.24 for domestic cards and 3.4% + ¤0.24 for international cards',
      [
        'Domestic cards (payment): 1.5% + 0.24 per order, only with cards domestic',
        'Cards from abroad (payment): 3.4% + 0.24 per order, only with cards international',
      ],
    ],
    [
      'Credit card: 2.8% + ¤0.3 online, 2.6% + ¤0.1 in person',
      [
        'Credit card (payment): 2.8% + 0.3 per order, only through “own-site”',
        'Cards in person (payment): 2.6% + 0.1 per order, only through “in-person”',
      ],
    ],
  ])('%s', (plain, expected) => expect(fees(plain)).toEqual(expected));

  it('takes a percentage that is something else for no fee', () => {
    for (const plain of ['Save 25% with yearly billing', '99.9% uptime', '20% off', 'VAT at 20%', '15% less'])
      expect(fees(plain), plain).toEqual([]);
  });

  it('is told by its heading what a bare rate is of', () => {
    expect(fees('2.8% + ¤0.28', 'card rates in person')).toEqual([
      'Cards in person (payment): 2.8% + 0.28 per order, only through “in-person”',
    ]);
    expect(fees('none', 'our share of each sale')).toEqual(['Sales fee (transaction): 0% per order']);
  });

  it('marks the cards of a region, which may be all or only some', () => {
    expect(feesIn('1.5% + ¤0.25 for European cards', { heading: 'payments' }).map(({ isRegional }) => isRegional)).toEqual([true]);
  });
});

describe('prices for each of something', () => {
  const unit = (plain: string, heading = '') => {
    const charge = unitChargeIn(plain, heading);
    return charge && statementSentence(charge, withPoint);
  };

  it.each([
    ['¤0.06 per additional label', 'Labels (usage): 0.06 per unit of labels, beyond what is included'],
    ['Then ¤1 per extra hour of video', 'Video hours (usage): 1 per unit of video hours, beyond what is included'],
    ['plus ¤0.5 per active subscriber', 'Subscribers (usage): 0.5 per unit of subscribers'],
    [
      'Extra contacts cost ¤15 per month for each 1000 above your limit',
      'Contacts (usage): 15 per started 1000 of contacts, beyond what is included',
    ],
    ['Each extra 500 subscribers: ¤5 per month', 'Subscribers (usage): 5 per started 500 of subscribers, beyond what is included'],
    ['Traffic beyond that costs ¤1 per TB', 'Bandwidth (usage): 0.001 per unit of bandwidth, beyond what is included'],
    [
      'The first 500 transactions a month are free, then ¤0.1 per transaction',
      'Orders (transaction): 0.1 per unit of orders, after the first 500 a month',
    ],
    ['400 labels, then ¤0.08 each', 'Labels (usage): 0.08 per unit of labels, after the first 400 a month'],
  ])('%s', (plain, expected) => expect(unit(plain)).toBe(expected));

  it.each(['¤12 per month', '¤0.012 an hour', '¤92 a month for 1000 contacts', '¤1.1 per ¤100 of value'])('%s is none', (plain) =>
    expect(unit(plain)).toBeNull(),
  );
});
