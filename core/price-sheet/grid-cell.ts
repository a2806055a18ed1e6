import type { PriceSheet } from '../decision/price-sheet';
import type { Mark } from '../decision/sheet-notes';
import type { Term } from '../decision-file/price-sheet-schema';
import { chargeWords, termSentence, type WritePhraseNumber } from '../price-phrase/price-sentence';
import { chargeIn, daysOfAll, type GridRow } from './grid-rows';
import { type FigurePlace, type Part, placeOf, termIn } from './parts';
import { monthWords } from '../price-phrase/date-rules';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { rateWords, type WriteNumber } from '../wording/rate-words';
import { termWords } from '../wording/term-words';

/** How cells write figures. */
export interface CellWriter {
  /** An amount with the digits of its currency. */
  money(amount: string, currency: string): string;
  number: WriteNumber;
  /** A number as it can be typed again. */
  phrase: WritePhraseNumber;
}

/** Whether a cell states a figure, one of the four things that are no figure, or nothing yet. */
export type CellState = 'stated' | 'empty' | 'none' | Mark;

/** What a cell of a price sheet shows, and the text with which it is edited. */
export interface GridCell {
  readonly state: CellState;
  readonly text: string;
  /** What else belongs to the figure, such as an introductory price. */
  readonly notes: readonly string[];
  /** The text to edit: reading it again gives the same. */
  readonly edit: string;
  /** Where evidence and questions about the figure are kept; null while there is no figure. */
  readonly place: string | null;
}

const STATE_WORDS = { 'not-known': 'not known', none: 'nothing', unlimited: 'no limit', 'not-offered': 'not offered' } as const;

const EMPTY: Omit<GridCell, 'place'> = { state: 'empty', text: '', notes: [], edit: '' };

/** The cell of a part in a row of its sheet. */
export function gridCell(sheet: PriceSheet, part: Part, row: GridRow, write: CellWriter): GridCell {
  const at = figureAt(part, row);
  const place = at && placeOf(part.id, at);
  const mark = place === null ? undefined : sheet.marks?.[place];
  const found = stated(sheet, part, row, write);
  if (mark !== undefined) return { ...marked(mark), notes: found?.notes ?? [], place };
  return found ? { ...found, place } : { ...EMPTY, place };
}

function marked(mark: Mark): Omit<GridCell, 'place'> {
  return { state: mark, text: STATE_WORDS[mark], notes: [], edit: mark === 'not-known' ? '?' : STATE_WORDS[mark] };
}

/** Where the figure of a part in a row is kept; null for a charge that the part does not have. */
export function figureAt(part: Part, row: GridRow): FigurePlace | null {
  const { kind } = row;
  switch (kind.kind) {
    case 'charge': {
      const charge = chargeIn(part, row);
      return charge ? { kind: 'charge', id: charge.id } : { kind: 'charge', id: row.key.slice('charge '.length) };
    }
    case 'trial':
    case 'refund':
      return { kind: 'term', months: part.terms?.[0]?.months ?? 1 };
    default:
      return kind;
  }
}

function stated(sheet: PriceSheet, part: Part, row: GridRow, write: CellWriter): Omit<GridCell, 'place'> | null {
  const { kind } = row;
  const figure = (text: string, edit: string, notes: string[] = []) => ({ state: 'stated' as const, text, edit, notes });
  switch (kind.kind) {
    case 'term': {
      const term = termIn(part, kind);
      return term ? termCell(term, part, write) : null;
    }
    case 'trial':
    case 'refund': {
      const days = daysOfAll(part, kind.kind === 'trial' ? 'trialDays' : 'refundDays');
      return days === undefined ? null : figure(`${days} days`, String(days));
    }
    case 'joining': {
      const [fee, ...others] = part.once ?? [];
      if (!fee) return null;
      const notes = [
        ...(fee.label === 'Joining fee' ? [] : [fee.label]),
        ...others.map((other) => `${other.label} ${write.money(other.amount, part.currency)}`),
      ];
      return isZero(fee.amount)
        ? { state: 'none', text: STATE_WORDS.none, edit: '0', notes }
        : figure(write.money(fee.amount, part.currency), write.phrase(fee.amount), notes);
    }
    case 'saving': {
      const percent = sheet.savings?.[part.id];
      return percent === undefined ? null : figure(`${write.number(percent)} %`, `${write.phrase(percent)} %`);
    }
    case 'charge': {
      const charge = chargeIn(part, row);
      if (!charge) return null;
      const { only: _only, ...rest } = charge;
      const edit = chargeWords(rest, write.phrase);
      const isUnknown = isChargeNotKnown(charge);
      const isNothing = charge.how === 'per-order' && isZero(charge.percent) && isZero(charge.each) && charge.monthlyMin === undefined;
      if (isNothing) return { state: 'none', text: STATE_WORDS.none, edit: 'nothing', notes: [] };
      const [rate = '', ...bounds] = rateWords(charge, write.number).split(', ');
      return { ...figure(rate, edit, bounds), ...(isUnknown ? { state: 'not-known' as const } : {}) };
    }
    case 'limit': {
      const most = part.limits?.[kind.quantity];
      if (most === undefined) return null;
      return isZero(most)
        ? { state: 'none', text: STATE_WORDS.none, edit: '0', notes: [] }
        : figure(write.number(most), write.phrase(most));
    }
    case 'feature': {
      const value = part.features?.[kind.feature];
      if (value === undefined) return null;
      if (value === null) return marked('not-known');
      if (value === false) return { state: 'none', text: 'no', edit: 'no', notes: [] };
      return value === true ? figure('yes', 'yes') : figure(write.number(value), write.phrase(value));
    }
  }
}

const isZero = (amount: string | null | undefined) => amount === undefined || (amount !== null && /^0+(\.0+)?$/.test(amount));

function termCell(term: Term, { currency }: Part, write: CellWriter): Omit<GridCell, 'place'> {
  const notes: string[] = [];
  const { intro, trialDays, renewal, changes = [] } = term;
  if (intro) {
    const joining = intro.until === undefined ? '' : `, for those who join by ${monthWords(intro.until)}`;
    const first = intro.periods === 1 ? 'the first payment' : `the first ${intro.periods} payments`;
    notes.push(
      'off' in intro
        ? `${first} ${write.number(intro.off)} % off${joining}`
        : `${first} ${intro.price === null ? 'not known' : write.money(intro.price, currency)}${joining}`,
    );
  }
  if (renewal)
    notes.push(`then ${renewal.price === null ? 'not known' : write.money(renewal.price, currency)} ${termWords(renewal.months)}`);
  for (const { from, price } of changes) notes.push(`${write.money(price, currency)} from ${monthWords(from)}`);
  if (trialDays !== undefined && trialDays > 0) notes.push(`${trialDays} days free first`);
  if (term.prorated) notes.push('unused part paid back');
  const edit = termSentence(term, write.phrase);
  const bare = edit.replace(/^(\S+) [^(]*/, '$1 ').trim();
  if (term.price === null) return { ...marked('not-known'), notes, edit: bare };
  if (isZero(term.price)) return { state: 'none', text: STATE_WORDS.none, edit: bare, notes };
  return { state: 'stated', text: write.money(term.price, currency), edit: bare, notes };
}
