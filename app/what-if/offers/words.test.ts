import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { lookAtOffers } from '#core/what-if/offers';
import type { DecisionFile } from '#core/decision-file/schema';
import { writerFor } from '../../locale/writer';
import { offersSentence, standingWords } from './words';

const write = writerFor('en-GB');
const nameOf = (id: string | null) => (id === null ? 'nobody' : ({ A: 'Alder', B: 'Birch' }[id] ?? id));

describe('offers, in a sentence', () => {
  const offered = (price: string, periods: number) => {
    const file = kiteDecision();
    const [alder, birch] = file.offers;
    return {
      ...file,
      offers: [
        { ...alder, plans: [{ ...alder?.plans[0], terms: [{ id: 'm', months: 1, price: '10' }] }] },
        { ...birch, plans: [{ ...birch?.plans[0], terms: [{ id: 'm', months: 1, price, intro: { price: '0', periods } }] }] },
      ],
    } as DecisionFile;
  };

  it('says that the decision survives without them', () => {
    expect(offersSentence(lookAtOffers(offered('30', 2), []), nameOf, write)).toBe(
      'The decision survives: Birch costs least without the one special offer.',
    );
  });

  it('says that it does not', () => {
    expect(offersSentence(lookAtOffers(offered('80', 12), []), nameOf, write)).toBe(
      'Without Birch Plan the answer changes: then Alder costs least.',
    );
  });

  it('and who is cheapest, or that no candidate can be chosen', () => {
    const { withAll } = lookAtOffers(offered('30', 2), []);
    expect(standingWords(withAll, nameOf, write)).toBe('Birch costs least, 420, 300 less than Alder.');
    expect(standingWords(null, nameOf, write)).toBe('no candidate can be chosen.');
  });
});
