import { sum } from '../core/amount/decimal';
import { moneyText } from '../core/amount/currencies';
import { priceDecision } from '../core/comparison/decision-result';
import type { DecisionFile } from '../core/decision-file/schema';
import { monthSentences } from '../core/explain/month-sentences';

/**
 * The ledger of one candidate's month in sentences, with its total.
 *
 * @throws RangeError if the file has no such candidate or month
 */
export function explainMonth(file: DecisionFile, candidate: string, month: string): string {
  const decision = priceDecision(file);
  const { candidates, result } = decision;
  const priced = candidates.find((one) => one.result.id === candidate);
  if (!priced) throw new RangeError(`there is no candidate ${candidate}; use one of ${candidates.map((one) => one.result.id).join(', ')}`);
  const index = result.months.indexOf(month);
  if (index < 0) throw new RangeError(`${month} is outside the horizon, which runs from ${result.months[0]} to ${result.months.at(-1)}`);
  const lines = priced.ledger.lines.filter((line) => line.month === index);
  const total = moneyText(sum(lines.map((line) => line.amount)), file.currency);
  const unknown = priced.ledger.unknown.length > 0 ? `, at least; not known: ${priced.ledger.unknown.join(', ')}` : '';
  return [
    `${priced.ledger.candidate.label}, ${month}:`,
    ...monthSentences(decision, { candidate, month: index }, String).map((sentence) => `  ${sentence}`),
    `  Together ${total} ${file.currency}${unknown}.`,
  ].join('\n');
}
