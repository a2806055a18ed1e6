import { describe, expect, it } from 'vitest';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { boughtTwice, superfluousParts } from './bought-twice';

const kites = kiteDecision();
const features = (of: DecisionFile['offers'][number]): Record<string, string | boolean> =>
  of.id === 'a' ? { domain: true, shelf: true, 'without-adverts': true } : { domain: '2' };
const file: DecisionFile = {
  ...kites,
  offers: kites.offers.map((offer) => ({
    ...offer,
    label: offer.id === 'b' ? '' : offer.label,
    plans: offer.plans.map((plan) => ({ ...plan, features: features(offer) })),
    ...(offer.id === 'a'
      ? { addons: [{ id: 'mail', label: '', currency: 'EUR', features: { mail: true, 'without-adverts': true } }] }
      : {}),
  })),
  addons: [
    { id: 'post', label: 'Post', currency: 'EUR', features: { mail: true, shelf: false } },
    { id: 'other', label: 'Other', currency: 'EUR', features: { mail: true } },
  ],
};
const candidate = (more: Partial<Candidate> = {}): Candidate => ({
  id: 'X',
  label: '',
  plans: [
    { plan: 'pa', term: 'm' },
    { plan: 'pb', term: 'm' },
  ],
  addons: [{ addon: 'mail' }, { addon: 'post' }],
  ...more,
});

describe('what is bought twice', () => {
  it('is named with the parts that have it, be it a plan, an add-on or an extra', () => {
    expect(boughtTwice(file, candidate({ extras: [{ label: 'Theme', amount: '1', months: 0, features: { shelf: true } }] }))).toEqual([
      { feature: 'domain', parts: ['Alder Plan', 'Birch Plan'] },
      { feature: 'shelf', parts: ['Alder Plan', 'Theme'] },
      { feature: 'mail', parts: ['something without a name', 'Post'] },
    ]);
  });

  it('is nothing that only one part has, or that is about being without', () => {
    expect(boughtTwice(file, candidate({ plans: [{ plan: 'pa', term: 'm' }], addons: [{ addon: 'mail' }] }))).toEqual([]);
    expect(boughtTwice(file, { id: 'X', label: '', plans: [] })).toEqual([]);
  });
});

describe('parts that could go', () => {
  const musts = (...needed: string[]) => ({ ...file, needs: needed.map((feature) => ({ feature, level: 'must' as const })) });

  it('are those whose needs the others meet too', () => {
    expect(superfluousParts(musts('mail'), candidate())).toEqual(['something without a name', 'Post']);
    expect(superfluousParts(musts('mail', 'domain'), candidate({ addons: [{ addon: 'post' }] }))).toEqual(['Alder Plan', 'Birch Plan']);
  });

  it('are none that alone meets a need, and none that meets none', () => {
    expect(superfluousParts(musts('shelf', 'domain'), candidate())).toEqual(['Birch Plan']);
    expect(superfluousParts(musts('mail'), candidate({ addons: [{ addon: 'post' }] }))).toEqual([]);
    expect(superfluousParts(file, candidate())).toEqual([]);
  });
});

it('a candidate of plans alone has just what they have', () => {
  const bare: Candidate = { id: 'X', label: '', plans: [{ plan: 'pa', term: 'm' }] };
  const { addons: _all, ...without } = file;
  expect(boughtTwice({ ...without, offers: kites.offers }, bare)).toEqual([]);
  expect(superfluousParts({ ...without, needs: [{ feature: 'mail', level: 'must' }] }, bare)).toEqual([]);
  const unnamed = {
    ...file,
    offers: file.offers.map((offer) => ({ ...offer, plans: offer.plans.map((plan) => ({ ...plan, label: '' })) })),
  };
  expect(boughtTwice(unnamed, candidate({ addons: [] }))).toEqual([{ feature: 'domain', parts: ['Alder', 'Birch'] }]);
});
