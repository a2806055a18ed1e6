import { isSameAmount } from '../amount/decimal';
import type { StatedTerm } from '../price-phrase/statement';
import { A_YEAR, addTerm, type AssembledPrices, fits, hasTerm, monthsOf, type PriceHints, times } from './price-terms';
import type { PricePiece } from './price-pieces';

/** "€7 a month" above "€84 billed yearly". */
function isShareOfATotal({ amount, per, billed }: PricePiece, pieces: readonly PricePiece[]): boolean {
  const isTotal = (one: PricePiece) => !one.isCrossedOut && one.per === null && (one.billed ?? 1) >= A_YEAR;
  return per === 1 && billed === null && pieces.some((one) => isTotal(one) && fits(one, amount, monthsOf(one, A_YEAR)));
}

/** What a crossed-out price is: the price by the month, the full price that is paid later, or only a list price. */
export function crossedOut(
  piece: PricePiece,
  pieces: readonly PricePiece[],
  hints: PriceHints,
  isIntroduced: boolean,
  assembled: AssembledPrices,
): void {
  const at = pieces.indexOf(piece);
  const shown = [...pieces.slice(at + 1), ...pieces.slice(0, at).reverse()].find(({ isCrossedOut }) => !isCrossedOut);
  const put = (why: string) => assembled.aside.push({ line: piece.line, why });
  if (isIntroduced || !shown || piece.amount === null) return void put('a crossed-out price; what is paid stands beside it');
  if (shown.first !== null && shown.per !== null) return void put('a crossed-out price; what is paid stands beside it');
  const per = piece.per ?? shown.per ?? 1;
  const isYearlyShare = per === 1 && ((shown.billed ?? 1) >= A_YEAR || isShareOfATotal(shown, pieces));
  if (isYearlyShare) {
    if (hasTerm(assembled, 1)) put('said at the price by the month');
    else if (hints.hasMonthly) addTerm(assembled, { months: 1, price: piece.amount }, [piece.line]);
    else put('a crossed-out price; what is paid stands beside it');
    return;
  }
  const place = assembled.facts.findIndex(
    ({ statement }) => statement.kind === 'term' && statement.term.months === per && isSameAmount(statement.term.price, shown.amount),
  );
  const found = assembled.facts[place];
  if (!found || found.statement.kind !== 'term') return void put('a crossed-out price; what is paid stands beside it');
  const lower = found.statement.term;
  // "Prices are for 12 months, paid in advance": so many are paid at once, at first and later.
  const ahead = per === 1 && hints.returnsToFull ? (hints.paidAtOnce ?? 1) : per;
  const price = times(piece.amount, ahead, per);
  const returns: StatedTerm = { months: ahead, price, intro: { price: times(lower.price, ahead, per), periods: 1 } };
  if (hints.returnsToFull) assembled.facts[place] = { statement: { kind: 'term', term: returns }, lines: [...found.lines, piece.line] };
  else {
    assembled.facts.splice(place, 1);
    assembled.doubts.push({
      about: 'crossed-out',
      lines: [...found.lines, piece.line],
      options: [
        { label: `first ${lower.price}, later ${piece.amount}`, statements: [{ kind: 'term', term: returns }] },
        { label: `${lower.price} for as long as it is kept`, statements: [{ kind: 'term', term: lower }] },
      ],
    });
  }
}
