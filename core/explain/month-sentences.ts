import { type Decimal, ONE } from '../amount/decimal';
import type { PricedDecision } from '../comparison/decision-result';
import type { Bucket } from '../pricing/ledger-line';
import type { WriteNumber } from '../wording/rate-words';
import { derivationSentence } from './derivation-sentence';
import { explainLine } from './explain-line';

/** Which lines of a candidate's ledger are told. */
export interface MonthScope {
  readonly candidate: string;
  /** Month index. */
  readonly month: number;
  /** Only this bucket; all of them by default. */
  readonly bucket?: Bucket | undefined;
}

/**
 * The ledger of one candidate's month in sentences, in the order of the ledger.
 *
 * @param scale - the scale the decision was priced at, default 1
 * @returns nothing for a candidate or month that is not there
 */
export function monthSentences(
  { pricing, candidates }: PricedDecision,
  { candidate, month, bucket }: MonthScope,
  write: WriteNumber,
  scale: Decimal = ONE,
): string[] {
  const priced = candidates.find(({ result }) => result.id === candidate);
  if (!priced) return [];
  return priced.ledger.lines
    .filter((line) => line.month === month && (bucket === undefined || line.bucket === bucket))
    .map((line) => derivationSentence(explainLine(pricing, priced.ledger, line, scale), write));
}
