import { sameInAll, rangeOf } from './form-ranges';
import type { Form } from './level-form';
import { bandPieces, clamped, combined, forEachStep, packagePieces, packagesRightOf, type Piece } from './pieces';

/** What a form is in every month as a function of the scale between two scales. */
export function monthCurves(form: Form, months: number, from: number, to: number): Piece[][] {
  switch (form.is) {
    case 'line':
      return Array.from({ length: months }, (_, month) => {
        const slope = form.growing?.[month] ?? 0;
        return [{ start: from, value: (form.fixed?.[month] ?? 0) + slope * from, slope }];
      });
    case 'sum': {
      const parts = form.of.map((part) => monthCurves(part, months, from, to));
      return Array.from({ length: months }, (_, month) => combined(parts.map((part) => ({ pieces: part[month] ?? [], factor: 1 }))));
    }
    case 'used-up':
      return usedUpCurves(monthCurves(form.credit, months, from, to), monthCurves(form.bills, months, from, to), from, to);
    default:
      return outerCurves(form, monthCurves(form.of, months, from, to), to);
  }
}

function outerCurves(form: Exclude<Form, { is: 'line' | 'sum' | 'used-up' }>, inner: Piece[][], to: number): Piece[][] {
  switch (form.is) {
    case 'scaled':
      return inner.map((pieces, month) => combined([{ pieces, factor: form.by[month] ?? 0 }]));
    case 'at-least':
      return inner.map((pieces, month) => clamped(pieces, to, form.bound[month] ?? 0, Infinity));
    case 'at-most':
      return inner.map((pieces, month) => clamped(pieces, to, -Infinity, form.bound[month] ?? 0));
    case 'packages':
      return inner.map((pieces) => packagePieces(pieces, to, form.size));
    case 'bands':
      return inner.map((pieces) => bandPieces(pieces, to, form));
    case 'so-far': {
      let sum: Piece[] | null = null;
      return inner.map((pieces) => (sum = sum === null ? pieces : combined([sum, pieces].map((part) => ({ pieces: part, factor: 1 })))));
    }
    case 'increase':
      return inner.map((pieces, month) => (month === 0 ? pieces : minus(pieces, inner[month - 1] ?? [])));
  }
}

function minus(pieces: readonly Piece[], less: readonly Piece[]): Piece[] {
  return combined([
    { pieces, factor: 1 },
    { pieces: less, factor: -1 },
  ]);
}

/** Of what there is, a bill takes all but what is left: the smaller of both is the one less what it exceeds the other by. */
function usedUpCurves(credits: readonly Piece[][], bills: readonly Piece[][], from: number, to: number): Piece[][] {
  const nothing: Piece[] = [{ start: from, value: 0, slope: 0 }];
  let balance = nothing;
  return bills.map((bill, month) => {
    const left = clamped(minus(balance, bill), to, 0, Infinity);
    const used = minus(balance, left);
    balance = combined([
      { pieces: left, factor: 1 },
      { pieces: credits[month] ?? nothing, factor: 1 },
    ]);
    return used;
  });
}

/** A function being added up: what it is at the lower end, and where it changes by how much. */
export interface Changes {
  value: number;
  slope: number;
  readonly at: number[];
  readonly values: number[];
  readonly slopes: number[];
}

/** Between which scales something is looked at, over how many months. */
export interface Span {
  readonly months: number;
  readonly from: number;
  readonly to: number;
}

/** Adds what a form comes to over all months, times a weight. */
export function addSum(changes: Changes, form: Form, span: Span, weight: number): void {
  const { months, from, to } = span;
  if (form.is === 'sum') return form.of.forEach((part) => addSum(changes, part, span, weight));
  if (form.is === 'line') {
    for (let month = 0; month < months; month++) {
      const slope = form.growing?.[month] ?? 0;
      changes.value += ((form.fixed?.[month] ?? 0) + slope * from) * weight;
      changes.slope += slope * weight;
    }
    return;
  }
  if (form.is === 'scaled') {
    const factor = sameInAll(form.by);
    if (factor !== null) return addSum(changes, form.of, span, weight * factor);
  }
  if (form.is === 'packages') return addPackages(changes, form, span, weight);
  // What grew over all months is what there is at the end.
  const curves = form.is === 'increase' ? monthCurves(form.of, months, from, to).slice(-1) : monthCurves(form, months, from, to);
  for (const pieces of curves) addPieces(changes, pieces, weight);
}

/** Packages, of which there can be many, without a piece for each. */
function addPackages(changes: Changes, { of, size }: Extract<Form, { is: 'packages' }>, { months, from, to }: Span, weight: number): void {
  for (const pieces of monthCurves(of, months, from, to))
    pieces.forEach((piece, index) => {
      const end = pieces[index + 1]?.start ?? to;
      let count = packagesRightOf(piece, end, size);
      const change = (place: number, after: number) => {
        if (after === count) return;
        changes.at.push(place);
        changes.values.push((after - count) * weight);
        changes.slopes.push(0);
        count = after;
      };
      const before = index === 0 ? null : lastCount(pieces[index - 1], piece.start, size);
      if (before === null) changes.value += count * weight;
      else if (before !== count) {
        changes.at.push(piece.start);
        changes.values.push((count - before) * weight);
        changes.slopes.push(0);
      }
      forEachStep(piece, end, size, change);
    });
}

/** How many packages there are at the end of a piece. */
function lastCount(piece: Piece | undefined, end: number, size: number): number {
  if (!piece) return 0;
  let count = packagesRightOf(piece, end, size);
  forEachStep(piece, end, size, (_place, after) => (count = after));
  return count;
}

function addPieces(changes: Changes, pieces: readonly Piece[], weight: number): void {
  let before: Piece | undefined;
  for (const piece of pieces) {
    if (!before) {
      changes.value += piece.value * weight;
      changes.slope += piece.slope * weight;
    } else {
      changes.at.push(piece.start);
      changes.values.push((piece.value - before.value - before.slope * (piece.start - before.start)) * weight);
      changes.slopes.push((piece.slope - before.slope) * weight);
    }
    before = piece;
  }
}

/** How many pieces a form has over all months between two scales, at most. */
export function piecesIn(form: Form, span: Span): number {
  const { months, from, to } = span;
  switch (form.is) {
    case 'line':
      return months;
    case 'sum':
      return form.of.reduce((sum, part) => sum + piecesIn(part, span), 0);
    case 'packages': {
      const { low, high } = rangeOf(form.of, months, from, to);
      return piecesIn(form.of, span) + low.reduce((sum, least, month) => sum + ((high[month] ?? 0) - least) / form.size, 0);
    }
    case 'bands':
      return piecesIn(form.of, span) + months * form.bands.length;
    case 'so-far':
      return (piecesIn(form.of, span) * months) / 2;
    case 'used-up':
      return ((piecesIn(form.credit, span) + piecesIn(form.bills, span)) * months) / 2;
    default:
      return piecesIn(form.of, span);
  }
}
