import { describe, expect, it } from 'vitest';
import { statementSentence, withPoint } from './price-sentence';
import { readPage } from './read-page';
import { readPhrase } from './read-phrase';
import type { Clause } from './statement';

const written = (clauses: readonly Clause[]) =>
  clauses.flatMap((clause) =>
    clause.kind === 'read' ? clause.statements.map((one) => statementSentence(one, withPoint)) : [`× ${clause.text}`],
  );
const pages = (text: string) => readPage(text, []).map(({ plan, clauses }) => [plan, written(clauses)]);

describe('bare names', () => {
  it('are limits and features where the forecast or a need is called so', () => {
    expect(written(readPhrase('1,700 listings', { known: ['listings'] }))).toEqual(['at most 1700 of listings']);
    expect(written(readPhrase('shop', { needs: ['shop'] }))).toEqual(['shop: yes']);
    expect(written(readPhrase('gift card', { needs: ['gift-cards'] }))).toEqual(['gift cards: yes']);
    expect(written(readPhrase('1,700 listings, shop'))).toEqual(['× 1,700 listings, shop']);
  });

  it('and letters are answers in a row of features', () => {
    const row = { kind: 'feature', feature: 'gift-cards' } as const;
    expect(['y', '✓', 'n', '✗'].map((text) => written(readPhrase(text, { row })))).toEqual([
      ['gift cards: yes'],
      ['gift cards: yes'],
      ['gift cards: no'],
      ['gift cards: no'],
    ]);
  });
});

describe('plans in a typed text', () => {
  it('may stand each on a line of its own', () => {
    expect(pages('Small: 10/mo, 50 labels\nLarge: 60/mo, 2000 labels')).toEqual([
      ['Small', ['10 by the month', 'at most 50 of labels']],
      ['Large', ['60 by the month', 'at most 2000 of labels']],
    ]);
    // A heading with a figure behind it is no plan.
    expect(pages('Transaction fee: 2 %').map(([plan]) => plan)).toEqual([null]);
  });

  it('may be named by a first line with bars', () => {
    expect(pages('Free | Lite | Pro\n1 user | 3 users | 10 users')).toEqual([
      ['Free', ['at most 1 of staff']],
      ['Lite', ['at most 3 of staff']],
      ['Pro', ['at most 10 of staff']],
    ]);
  });
});
