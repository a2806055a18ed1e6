import { describe, expect, it } from 'vitest';
import { readPricePage } from './read-price-page';

/** What a plan of a page is said to have and how many it allows, by name. */
function said(page: string, plan: string): Record<string, unknown> {
  const facts = readPricePage(page, { currency: 'GBP' }).plans.find(({ name }) => name === plan)?.facts ?? [];
  return Object.fromEntries(
    facts.flatMap(({ statement }): Array<[string, unknown]> => {
      if (statement.kind === 'feature') return [[statement.feature, statement.value]];
      return statement.kind === 'limit' ? [[statement.quantity, statement.most]] : [];
    }),
  );
}

const page = (first: string, second: string) =>
  `Nest\n£5 a month\n${first}\n2 % transaction fee\nBrood\n£12 a month\nEverything in Nest, plus:\n${second}`;

describe('what a plan has because a smaller one has it', () => {
  it('comes with its own list', () => {
    expect(said(page('Contact forms\n3 sites', 'Gift cards'), 'Brood')).toEqual({ 'gift-cards': true, 'contact-forms': true, sites: '3' });
  });

  it('gives way to what its own list says', () => {
    expect(said(page('3 sites\nUnlimited pages', '10 sites\n500 pages'), 'Brood')).toEqual({ sites: '10', pages: '500' });
  });

  it('is neither what the smaller one lacks nor a limit of what is charged one by one', () => {
    expect(said(page('✗ Gift cards\n100 labels', '£0.05 per label'), 'Brood')).toEqual({});
  });

  it('is no fee and no price', () => {
    const [, brood] = readPricePage(page('3 sites', 'Gift cards'), { currency: 'GBP' }).plans;
    const kinds = brood?.facts.map(({ statement }) => statement.kind) ?? [];
    expect(kinds.filter((kind) => kind === 'term')).toHaveLength(1);
    expect(kinds).not.toContain('charge');
  });

  it('is passed on from plan to plan', () => {
    const three = `${page('Contact forms', 'Gift cards')}\nFlock\n£30 a month\nAll of Brood and:\nOwn app`;
    expect(said(three, 'Flock')).toEqual({ 'own-app': true, 'gift-cards': true, 'contact-forms': true });
  });

  it('leads to both lines', () => {
    const reading = readPricePage(page('Contact forms', 'Gift cards'), { currency: 'GBP' });
    const forms = reading.plans[1]?.facts.find(({ statement }) => statement.kind === 'feature' && statement.feature === 'contact-forms');
    expect(forms?.lines).toEqual([7, 3]);
  });
});
