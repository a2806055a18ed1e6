import { statementSentence, type WritePhraseNumber } from '../price-phrase/price-sentence';
import type { Statement } from '../price-phrase/statement';
import { limitOf, type Part } from './parts';

/**
 * Everything a part of a sheet states, a sentence for each figure.
 *
 * @example sentencesOf(basic, withPoint) // ['27 by the month', 'Card fee (payment): 2.2% + 0.28 per order', …]
 */
export function sentencesOf(
  { terms = [], charges = [], once = [], limits = {}, features = {}, taxExcluded }: Part,
  write: WritePhraseNumber,
): string[] {
  const statements: Statement[] = [
    ...terms.map(({ id: _id, ...term }) => ({ kind: 'term' as const, term })),
    ...once.map(({ label, amount }) => ({ kind: 'joining' as const, label, amount })),
    ...charges.map(({ id: _id, ...charge }) => ({ kind: 'charge' as const, charge })),
    ...Object.entries(limits).map(([name, most]) => limitStatement(name, most)),
    ...Object.entries(features).map(([feature, value]) => ({ kind: 'feature' as const, feature, value })),
    ...(taxExcluded === undefined ? [] : [{ kind: 'tax' as const, excluded: taxExcluded }]),
  ];
  return statements.map((statement) => statementSentence(statement, write));
}

function limitStatement(name: string, most: string): Statement {
  const { quantity, yearly } = limitOf(name);
  return { kind: 'limit', quantity, most, ...(yearly ? { yearly: true } : {}) };
}
