import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { priceCandidate } from '../comparison/candidate-result';
import { readDecisionFile } from '../decision-file/read';
import { preparePricing } from '../pricing/pricing';
import { randomDecision } from '../tests/random-decision';
import { derivationSentence } from './derivation-sentence';
import { explainLine } from './explain-line';
import { readOrNull } from '../tests/read-or-null';
import { versionTwoDecision } from '../tests/version-two-decision';

const load = (name: string) =>
  preparePricing(readDecisionFile(JSON.parse(readFileSync(new URL(`../cases/${name}`, import.meta.url), 'utf8'))));

describe('explainLine', () => {
  it('gives the same amount as the line, for every line and at every scale', () => {
    fc.assert(
      fc.property(fc.oneof(randomDecision, versionTwoDecision), fc.constantFrom('1', '0.4', '3.7'), (made, scale) => {
        const file = readOrNull(made);
        if (!file) return;
        const pricing = preparePricing(file);
        for (const candidate of pricing.file.candidates) {
          const { ledger } = priceCandidate(pricing, candidate, decimal(scale));
          for (const line of ledger.lines) {
            const { amount, charged } = explainLine(pricing, ledger, line, decimal(scale));
            expect([amount.toFixed(), charged.toFixed()]).toEqual([line.amount.toFixed(), line.charged.toFixed()]);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it.each(['05-allowances-and-bands.json', '08-currencies-tax-and-credits.json', '03-spread-basis.json', '04-cards-and-processors.json'])(
    'does so in %s',
    (name) => {
      const pricing = load(name);
      for (const candidate of pricing.file.candidates) {
        const { ledger } = priceCandidate(pricing, candidate);
        for (const line of ledger.lines) expect(explainLine(pricing, ledger, line).amount.toFixed()).toBe(line.amount.toFixed());
      }
    },
  );
});

describe('derivationSentence', () => {
  const sentences = (name: string, id: string, month: number) => {
    const pricing = load(name);
    const candidate = pricing.file.candidates.find((one) => one.id === id);
    if (!candidate) throw new Error('a candidate is expected');
    const { ledger } = priceCandidate(pricing, candidate);
    return ledger.lines
      .filter((line) => line.month === month)
      .map((line) => derivationSentence(explainLine(pricing, ledger, line), String));
  };

  it('says how plans, fees and time came about', () => {
    expect(sentences('13-larkfell.json', 'A', 0)).toEqual([
      'Grow: 708.00 by the year = 708.00.',
      'Domestic cards: Kites and spares 34.848 orders × (48 × 1.7% + 0.25) + Sewing plans 13.2 orders × (9.5 × 1.7% + 0.25) + Video club 15 orders × (12 × 1.7% + 0.25) = 49.39.',
      'Cards from abroad: Kites and spares 17.952 orders × (48 × 2.8% + 0.25) + Sewing plans 8.8 orders × (9.5 × 2.8% + 0.25) = 33.16.',
      'Own time: 14 hours to set up and 1 for the month, each worth 24.00 = 360.00.',
    ]);
  });

  it('says introductory prices and conversions', () => {
    expect(sentences('13-larkfell.json', 'E', 1)[0]).toBe(
      'Trade: introductory price, payment 2 of 2, 5.00 by the month = 5.00 USD, × 0.92 = 4.60 EUR.',
    );
  });
});
