import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { PageReading } from './page-reading';
import { readPricePage } from './read-price-page';

/** What a page's fees are narrowed to, by their rate; "asked" for what it asks about. */
function narrowed(lines: readonly string[], currency = 'GBP'): Record<string, string> {
  const { plans, asked } = readPricePage(['Dabchick Pay', 'Fees', ...lines].join('\n'), { currency });
  const stated = plans.flatMap(({ facts }) => facts.map(({ statement }) => ({ statement, mark: '' })));
  const open = asked.flatMap(({ options }) =>
    options.flatMap(({ statements }) => statements.map(({ statement }) => ({ statement, mark: 'asked ' }))),
  );
  return Object.fromEntries(
    [...stated, ...open].flatMap(({ statement, mark }) => {
      if (statement.kind !== 'charge' || statement.charge.how !== 'per-order') return [];
      const { percent = '', each, only = {} } = statement.charge;
      const rate = `${percent}%${each ? ` + ${each}` : ''}`;
      return [[rate, `${mark}${[...(only.channels ?? []), ...(only.cards ?? [])].join(' ')}`.trim()]];
    }),
  );
}

describe('rates of one payment processor', () => {
  it('of cards from home, from elsewhere and of the till never count for the same payment', () => {
    const page = ['Online', 'UK cards', '1.4% + 20p', 'European cards', '2.4% + 20p', 'All other cards', '3.1% + 20p', 'In person', '1.7%'];
    expect(narrowed(page)).toEqual({
      '1.4% + 0.2': 'own-site domestic',
      '2.4% + 0.2': 'own-site europe',
      '3.1% + 0.2': 'own-site international',
      '1.7%': 'in-person',
    });
  });

  it('know whose cards are those from home by the currency of the page', () => {
    expect(narrowed(['European cards: 1.5% + €0.25', 'UK cards: 2.5% + €0.25'], 'EUR')).toEqual({
      '1.5% + 0.25': 'domestic',
      '2.5% + 0.25': 'uk',
    });
  });

  it('of a way that is no card count for payments made in that way', () => {
    const page = ['UK cards: 1.4% + 20p', 'Cards from abroad: 3% + 20p', 'Direct debit: 1%', 'Invoices: 0.4%', 'Pay later: 4.5% + 35p'];
    expect(narrowed(page)).toEqual({
      '1.4% + 0.2': 'domestic',
      '3% + 0.2': 'international',
      '1%': 'direct-debit',
      '0.4%': 'invoice',
      '4.5% + 0.35': 'pay-later',
    });
  });

  it('of premium and business cards stand beside those of all others', () => {
    expect(narrowed(['Standard UK cards: 1.5% + 25p', 'Premium UK cards: 1.9% + 25p', 'Business UK cards: 2.2% + 25p'])).toEqual({
      '1.5% + 0.25': 'domestic',
      '1.9% + 0.25': 'premium',
      '2.2% + 0.25': 'business',
    });
  });

  it('that nothing tells apart are asked about', () => {
    expect(narrowed(['Debit cards: 1.2% + 20p', 'Credit cards: 1.6% + 20p'])).toEqual({ '1.2% + 0.2': 'asked', '1.6% + 0.2': 'asked' });
  });

  it('that come on top of another count beside it', () => {
    expect(narrowed(['All cards: 1.9% + 20p', 'Cards from abroad: + 1.5%'])).toEqual({ '1.9% + 0.2': '', '1.5%': 'international' });
  });

  it('that are the same for two things are one', () => {
    const { plans } = readPricePage('Dabchick Pay\nIn person\nCard reader\n1.69%\nTap on a telephone\n1.69%\nOnline\nShop\n2.5% + 10p');
    expect(plans[0]?.facts.filter(({ statement }) => statement.kind === 'charge')).toHaveLength(2);
  });
});

/** Fees of taking a payment that one payment would pay on a plan, without what comes on top of another. */
function paidTogether({ plans, lines }: PageReading): string[] {
  const text = (own: readonly number[]) => own.map((line) => lines.find((one) => one.line === line)?.text ?? '').join(' ');
  return plans.flatMap(({ name, facts }) => {
    const rates = facts.flatMap(({ statement, lines: own }) => {
      if (statement.kind !== 'charge' || statement.charge.how !== 'per-order' || statement.charge.bucket !== 'payment') return [];
      return /\+ ?\d[\d.]* ?%|\b(?:more|extra|on top|plus|is added|add)\b/.test(text(own)) || statement.charge.only?.payments
        ? []
        : [statement.charge];
    });
    const doubles = ['own-site', 'in-person'].flatMap((channel) =>
      ['domestic', 'international', 'wallet'].filter(
        (card) =>
          rates.filter(({ only }) => (only?.channels?.includes(channel) ?? true) && (only?.cards?.includes(card) ?? true)).length > 1,
      ),
    );
    return doubles.map((card) => `${name}: ${card}`);
  });
}

const folder = join(import.meta.dirname, 'pages');
const pages = readdirSync(folder).filter((file) => /\.(?:txt|html)$/.test(file) && !file.endsWith('.truth.txt'));

it.each(pages)('no payment pays two rates by what %s says', (file) => {
  expect(paidTogether(readPricePage(readFileSync(join(folder, file), 'utf8')))).toEqual([]);
});
