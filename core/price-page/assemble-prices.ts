import { decimal, isSameAmount } from '../amount/decimal';
import type { StatedTerm } from '../price-phrase/statement';
import { crossedOut } from './crossed-out';
import type { PricePiece } from './price-pieces';
import { A_YEAR, addTerm, type AssembledPrices, fits, monthsOf, type PriceDoubt, type PriceHints, times } from './price-terms';

/** Why a line with a price at renewal states nothing of its own. */
const AT_ITS_TERM = 'the price at renewal, which stands at its term';

/**
 * Puts the prices of one plan together from the pieces the page shows: what is paid, how often, at first and later.
 * Shown × months has to give a stated total; where it does not, it is asked.
 *
 * @example assemblePrices(pricePieces([{ line: 1, plain: '¤13 /month billed annually' }]), hints) // 156 for 12 months
 */
export function assemblePrices(pieces: readonly PricePiece[], hints: PriceHints): AssembledPrices {
  const assembled: AssembledPrices = { facts: [], doubts: [], aside: [] };
  const told = withFullPriceLater(pieces.filter((piece) => !isShownAbove(piece, pieces, assembled)))
    .filter(({ isCrossedOut }) => !isCrossedOut)
    .map((piece) => paidAhead(asShare(asTotal(withYearApart(piece, pieces), pieces), pieces), pieces, hints));
  const renewals = told.filter(({ isRenewal }) => isRenewal);
  const current = told.filter(({ isRenewal, isOnce }) => !isRenewal && !isOnce);
  const [renewal] = renewals;
  const isIntroduced = renewal !== undefined && introduced(current, renewal, hints, assembled);
  if (!isIntroduced) plainTerms(current, hints, assembled);
  else for (const piece of renewals) assembled.aside.push({ line: piece.line, why: AT_ITS_TERM });
  for (const piece of told.filter(({ isOnce }) => isOnce)) addTerm(assembled, { months: 0, price: piece.amount }, [piece.line]);
  for (const piece of pieces.filter(({ isCrossedOut }) => isCrossedOut)) crossedOut(piece, pieces, hints, isIntroduced, assembled);
  return assembled;
}

/** "From ¤2.49/mo" above "¤2.49/mo for 24 months" and what is paid month by month only shows the lowest of them. */
function isShownAbove(piece: PricePiece, pieces: readonly PricePiece[], { aside }: AssembledPrices): boolean {
  const isBare = piece.per === 1 && piece.billed === null && piece.first === null && !piece.isRenewal && !piece.isCrossedOut;
  const isOfTerm = ({ per, billed, amount, line }: PricePiece) =>
    per === 1 && billed !== null && billed > 1 && line !== piece.line && isSameAmount(amount, piece.amount);
  const isShown = isBare && pieces.some(isOfTerm) && pieces.some(({ billed }) => billed === 1);
  if (isShown) aside.push({ line: piece.line, why: 'the lowest of the prices below' });
  return isShown;
}

/** "¤79/year" beside "¤49 for the first year" is what is paid from the second year on. */
function withFullPriceLater(pieces: readonly PricePiece[]): readonly PricePiece[] {
  if (pieces.some(({ isRenewal }) => isRenewal)) return pieces;
  const isFull = ({ per, amount, first }: PricePiece) =>
    per !== null &&
    per > 1 &&
    amount !== null &&
    first === null &&
    pieces.some((one) => one.per === null && one.first === per && one.amount !== null && decimal(one.amount).lt(amount));
  return pieces.map((piece) => (isFull(piece) ? { ...piece, isRenewal: true } : piece));
}

/** "¤9.90 a month, when billed yearly ¤99": a year that costs less than its months is another way of paying. */
function withYearApart(piece: PricePiece, pieces: readonly PricePiece[]): PricePiece {
  const { per, billed, amount, line } = piece;
  const [month, other] = pieces;
  const year = piece === month ? other : undefined;
  if (
    pieces.length !== 2 ||
    per !== 1 ||
    billed !== A_YEAR ||
    amount === null ||
    year?.amount == null ||
    year.isCrossedOut ||
    year.line !== line
  )
    return piece;
  const isLess =
    year.billed === A_YEAR && year.first === null && !fits(year, amount, A_YEAR) && decimal(year.amount).lt(times(amount, A_YEAR, 1) ?? 0);
  return isLess && decimal(year.amount).gt(times(amount, A_YEAR / 2, 1) ?? 0) ? { ...piece, billed: null } : piece;
}

/** "96.84 for 36 months" beside "2.69 a month" is what is paid for all of them. */
function asTotal(piece: PricePiece, pieces: readonly PricePiece[]): PricePiece {
  const { per, first, isTotal } = piece;
  if (isTotal || per !== null || first === null || first <= 1) return piece;
  return pieces.some((one) => one !== piece && one.per === 1 && fits(piece, one.amount, first)) ? { ...piece, isTotal: true } : piece;
}

/** "¤5.90 billed yearly" beside "¤6.90 a month": nobody sells a year for less than a month; it is a month's share. */
function asShare(piece: PricePiece, pieces: readonly PricePiece[]): PricePiece {
  const ahead = piece.per ?? piece.billed ?? 0;
  const isYearly = !piece.isOnce && !piece.isRenewal && ahead >= A_YEAR && piece.amount !== null;
  const isShare =
    isYearly &&
    pieces.some(
      ({ per, billed, amount, isCrossedOut }) =>
        !isCrossedOut &&
        per === 1 &&
        (billed ?? 1) === 1 &&
        amount !== null &&
        decimal(amount).gt(0) &&
        decimal(piece.amount ?? '0').lte(amount),
    );
  return isShare && decimal(piece.amount ?? '0').gt(0) ? { ...piece, per: 1, billed: ahead, isTotal: false } : piece;
}

/** "¤11.20 a month" beside "¤14 billed monthly", where the page shows prices by the year: the lower is paid for a year. */
function paidAhead(
  piece: PricePiece,
  pieces: readonly PricePiece[],
  { paidAtOnce, usualPer, savesByYear, hasMonthly }: PriceHints,
): PricePiece {
  const isBare = piece.per === null && piece.billed === null && piece.first === null && !piece.isOnce && !piece.isTotal;
  // "Prices per month, paid yearly" says it of every price without words.
  if (isBare && usualPer === 1 && paidAtOnce !== null && !piece.isRenewal) return { ...piece, per: 1, billed: paidAtOnce };
  // What a switch hides is paid by the month; what it shows in its place is a month's share of a year.
  const isSwitchedAway = pieces.some((one) => one.isSwitched && one.billed === 1 && !piece.isSwitched);
  const ahead = paidAtOnce ?? (savesByYear === true || isSwitchedAway ? A_YEAR : null);
  const isOfAMonth = piece.per === 1 || (isBare && isSwitchedAway);
  if (ahead === null || !isOfAMonth || piece.billed !== null || piece.isRenewal || piece.amount === null) return piece;
  const { amount } = piece;
  const isLower = pieces.some((one) => one.billed === 1 && !one.isCrossedOut && one.amount !== null && decimal(one.amount).gt(amount));
  // "Paid a year in advance": the only price, quoted by the month.
  const isOnly = paidAtOnce !== null && piece.first === null && !pieces.some((one) => one !== piece && !one.isOnce);
  return isLower || (isOnly && !hasMonthly) ? { ...piece, per: 1, billed: ahead } : piece;
}

/**
 * A lower price at first and a renewal price: paid ahead for a time ("$82.44 for 36 months, renews at $7.49/mo"), or at
 * each payment ("4.99 a month for 12 months, then 9.99").
 *
 * @returns false if the pieces do not say what is lower at first
 */
function introduced(current: readonly PricePiece[], renewal: PricePiece, hints: PriceHints, assembled: AssembledPrices): boolean {
  const total = current.find(({ isTotal }) => isTotal);
  const shown =
    current.find((piece) => piece !== total && (piece.per !== null || piece.first !== null)) ?? current.find((piece) => piece !== total);
  const lead = shown ?? total;
  if (!lead) return false;
  const ahead = monthsAhead(total, withBillingOf(shown, renewal), hints);
  const renewalPer = renewal.per ?? (isOfWholeTerm(renewal, total) ? ahead : null) ?? shown?.per ?? 1;
  const lines = [...new Set([lead.line, ...(total ? [total.line] : []), renewal.line])];
  const rest = current.filter((piece) => piece !== total && piece !== shown && !isAlike(piece, shown) && !isAlike(piece, renewal));
  if (ahead !== null && ahead > 1) {
    const price = total ? total.amount : times(lead.amount, ahead, lead.per ?? 1);
    const later = times(renewal.amount, ahead, renewalPer);
    addTerm(assembled, { months: ahead, price: later, ...(isSameAmount(later, price) ? {} : { intro: { price, periods: 1 } }) }, lines);
  } else if (isOfSomeLength(lead, hints)) {
    assembled.doubts.push({ about: 'length', lines, options: hints.lengths.map((months) => ofLength(months, lead, renewal, renewalPer)) });
  } else {
    const per = shown?.per ?? renewalPer;
    const periods = lead.first === null ? 1 : Math.max(1, Math.round(lead.first / per));
    addTerm(assembled, { months: per, price: times(renewal.amount, per, renewalPer), intro: { price: lead.amount, periods } }, lines);
  }
  plainTerms(rest, hints, assembled);
  const said = current.filter((piece) => isAlike(piece, renewal) && piece !== shown && piece.line !== renewal.line);
  for (const { line } of said) assembled.aside.push({ line, why: AT_ITS_TERM });
  return true;
}

/** "¤1.99/mo, ¤7.96/mo when you renew" on a page that sells 48, 12 and 1 months. */
function isOfSomeLength({ per, first }: PricePiece, { lengths }: PriceHints): boolean {
  return lengths.length > 1 && per === 1 && first === null;
}

function ofLength(months: number, lead: PricePiece, renewal: PricePiece, renewalPer: number): PriceDoubt['options'][number] {
  const intro = { price: times(lead.amount, months, lead.per ?? 1), periods: 1 };
  const term: StatedTerm = { months, price: times(renewal.amount, months, renewalPer), intro };
  return { label: months === 1 ? '1 month' : `${months} months`, statements: [{ kind: 'term', term }] };
}

/** "¤119 billed annually, renews at ¤119": as much as a whole term's price, and so the price of one, not of a month. */
function isOfWholeTerm(renewal: PricePiece, total: PricePiece | undefined): boolean {
  return total?.amount != null && renewal.amount !== null && decimal(renewal.amount).gte(total.amount);
}

/** "¤2 a month for the first year, then ¤5 a month, billed yearly" says it of both. */
function withBillingOf(shown: PricePiece | undefined, { billed }: PricePiece): PricePiece | undefined {
  const isOfBoth = shown?.per === 1 && shown.billed === null && billed !== null && (shown.first === null || shown.first === billed);
  return isOfBoth ? { ...shown, billed } : shown;
}

/** For how many months the lower price is paid at once; null if it is paid bit by bit. */
function monthsAhead(total: PricePiece | undefined, shown: PricePiece | undefined, hints: PriceHints): number | null {
  if (total) return several(total.first) ?? several(total.billed) ?? shown?.first ?? several(shown?.billed) ?? hints.paidAtOnce ?? A_YEAR;
  if (shown?.billed != null && shown.billed > 1) return shown.billed;
  return shown?.per === 1 && (shown.first === null || shown.first === hints.paidAtOnce) ? hints.paidAtOnce : null;
}

/** A number of months, where it is more than one. */
const several = (months: number | null | undefined) => (months != null && months > 1 ? months : null);

function isAlike(piece: PricePiece, shown: PricePiece | undefined): boolean {
  return shown !== undefined && isSameAmount(piece.amount, shown.amount) && piece.per === shown.per;
}

/** Terms whose price stays. */
function plainTerms(current: readonly PricePiece[], hints: PriceHints, assembled: AssembledPrices): void {
  const totals = current.filter(({ isTotal, per, billed }) => isTotal || (per === null && billed !== null && billed > 1));
  const used = new Set<PricePiece>();
  for (const piece of current) {
    if (totals.includes(piece) && !isSwitchedShare(piece, current)) continue;
    const { amount, per, billed, first, line } = isSwitchedShare(piece, current) ? { ...piece, per: 1 } : piece;
    if (first !== null && per === null && billed === null) introduction(piece, assembled);
    else if (first !== null && per === 1 && billed === null && first > 1) introduction(piece, assembled);
    else if (billed !== null && billed > 1 && per !== null && per < billed) {
      const total = totals.find((one) => !used.has(one) && monthsOf(one, billed) === billed && fits(one, amount, billed / per));
      if (total) used.add(total);
      addTerm(assembled, { months: billed, price: total?.amount ?? times(amount, billed, per) }, total ? [line, total.line] : [line]);
    } else if (per !== null) shownFor(piece, per, totals, used, assembled);
    else if (billed === 1) addTerm(assembled, { months: 1, price: amount }, [line]);
    else withoutPeriod(piece, hints, assembled);
  }
  for (const total of totals) {
    if (used.has(total) || isSwitchedShare(total, current)) continue;
    addTerm(assembled, { months: monthsOf(total, A_YEAR), price: total.amount }, [total.line]);
  }
}

/** "11 € a month" beside "132 € yearly": what is shown by the month is the share of what is paid by the year. */
function shownFor(piece: PricePiece, per: number, totals: readonly PricePiece[], used: Set<PricePiece>, assembled: AssembledPrices): void {
  const { amount, billed, line } = piece;
  const total = billed === null && per === 1 ? totals.find((one) => !used.has(one) && fits(one, amount, monthsOf(one, A_YEAR))) : undefined;
  if (total) {
    used.add(total);
    addTerm(assembled, { months: monthsOf(total, A_YEAR), price: total.amount }, [line, total.line]);
  } else addTerm(assembled, { months: per, price: amount }, [line]);
}

/** A price by the year behind a switch is often quoted by the month. */
function isSwitchedShare(piece: PricePiece, current: readonly PricePiece[]): boolean {
  if (!piece.isSwitched || piece.per !== null || piece.billed !== A_YEAR || piece.amount === null) return false;
  const monthly = current.find((one) => one.per === 1 && one.amount !== null && (one.billed === null || one.billed === 1));
  return monthly?.amount != null && decimal(piece.amount).lte(monthly.amount);
}

function introduction({ amount, first, line }: PricePiece, { facts }: AssembledPrices): void {
  if (amount === null || first === null) return;
  facts.push({ statement: { kind: 'introduction', intro: { price: amount }, time: { months: first } }, lines: [line] });
}

function withoutPeriod({ amount, line }: PricePiece, { usualPer }: PriceHints, assembled: AssembledPrices): void {
  if (amount === null || decimal(amount).isZero()) addTerm(assembled, { months: 1, price: amount }, [line]);
  else if (usualPer !== null) addTerm(assembled, { months: usualPer, price: amount }, [line]);
  else
    assembled.doubts.push({
      about: 'period',
      lines: [line],
      options: [
        ['a month', 1],
        ['a year', A_YEAR],
        ['once, for good', 0],
      ].map(([label, months]) => ({ label: `${label}`, statements: [{ kind: 'term', term: { months: Number(months), price: amount } }] })),
    });
}
