import type { Term } from '../../decision-file/price-sheet-schema';
import { monthWords } from '../../price-phrase/date-rules';
import { termSentence } from '../../price-phrase/price-sentence';
import type { RowKind } from '../../price-phrase/row-kind';
import type { Statement } from '../../price-phrase/statement';
import { termWords } from '../../wording/term-words';
import { type Part, termIn, withTermOf } from '../parts';
import { type CellContent, type CellWriter, figure, isNothing, marked, nothing, type RowRule } from './row-rule';
import { capital } from '../../wording/capital';

type TermKind = Extract<RowKind, { kind: 'term' }>;

const USUAL_LENGTHS = [1, 12];

/** The price for a length of time: by the month, by the year, once and for good. */
export const termRow: RowRule<TermKind> = {
  kinds: ({ sheet, columns, asked }) => {
    if (sheet.kind === 'processor') return [];
    const wanted = asked.flatMap((kind) => (kind.kind === 'term' ? [kind] : []));
    const lengths = [...USUAL_LENGTHS, ...columns.flatMap(({ terms = [] }) => terms.map(({ months }) => months))];
    return [...new Set([...lengths, ...wanted.map(({ months }) => months)])]
      .sort((a, b) => (a || Infinity) - (b || Infinity))
      .flatMap((months) => termsOfLength(columns, wanted, months));
  },
  heading: ({ months, nth }) => ({
    key: `term ${months} ${nth ?? 0}`,
    section: 'price',
    title: `${capital(termWords(months))}${nth ? `, another way (${nth + 1})` : ''}`,
    note: months > 1 ? 'for the whole term' : '',
  }),
  place: (_part, kind) => kind,
  cell: (part, kind, write) => {
    const term = termIn(part, kind);
    return term ? termCell(term, part, write) : null;
  },
  states: ['not-known', 'none', 'not-offered', 'empty'],
  marks: ['not-offered', 'unlimited'],
  inState: (part, kind, state, newId) => {
    const found = termIn(part, kind);
    const terms = part.terms ?? [];
    if (state === 'empty' || state === 'not-offered') return { ...part, terms: terms.filter((term) => term !== found) };
    const price = state === 'not-known' ? null : '0';
    return { ...part, terms: withTermOf(terms, { id: found?.id ?? newId(), months: kind.months, price }) };
  },
  retyped: (part, kind, statement, replaces, newId) => {
    if (statement.kind === 'introduction') return withIntroduction(part, kind, statement);
    if (statement.kind !== 'term' || statement.term.months !== kind.months) return null;
    const term = termIn(part, kind);
    const kept = replaces === 'figure' ? term : undefined;
    return { ...part, terms: withTermOf(part.terms ?? [], { ...kept, ...statement.term, id: term?.id ?? newId() }) };
  },
};

/** Rows for all terms of one length: a plan may have several, such as one with a trial. */
function termsOfLength(columns: readonly Part[], asked: readonly TermKind[], months: number): TermKind[] {
  const wanted = asked.flatMap((kind) => (kind.months === months ? [(kind.nth ?? 0) + 1] : []));
  const most = Math.max(1, ...wanted, ...columns.map(({ terms }) => terms?.filter((term) => term.months === months).length ?? 0));
  return Array.from({ length: most }, (_, nth): TermKind => (nth === 0 ? { kind: 'term', months } : { kind: 'term', months, nth }));
}

function termCell(term: Term, { currency }: Part, write: CellWriter): CellContent {
  const notes = termNotes(term, currency, write);
  const edit = termSentence(term, write.phrase)
    .replace(/^(\S+) [^(]*/, '$1 ')
    .trim();
  if (term.price === null) return { ...marked('not-known', notes), edit };
  return isNothing(term.price) ? nothing(edit, notes) : figure(write.money(term.price, currency), edit, notes);
}

/** What else belongs to the price of a term, a note each. */
function termNotes({ intro, renewal, changes = [], trialDays = 0, prorated }: Term, currency: string, write: CellWriter): string[] {
  const price = (amount: string | null) => (amount === null ? 'not known' : write.money(amount, currency));
  const notes = intro ? [introductionWords(intro, price, write)] : [];
  if (renewal) notes.push(`then ${price(renewal.price)} ${termWords(renewal.months)}`);
  for (const change of changes) notes.push(`${price(change.price)} from ${monthWords(change.from)}`);
  if (trialDays > 0) notes.push(`${trialDays} days free first`);
  if (prorated) notes.push('unused part paid back');
  return notes;
}

function introductionWords(intro: NonNullable<Term['intro']>, price: (amount: string | null) => string, write: CellWriter): string {
  const joining = intro.until === undefined ? '' : `, for those who join by ${monthWords(intro.until)}`;
  const payments = intro.periods === 1 ? 'the first payment' : `the first ${intro.periods} payments`;
  const what = 'off' in intro ? `${write.number(intro.off)}% off` : price(intro.price);
  return `${payments} ${what}${joining}`;
}

/** An introductory price typed into the cell of a term is that term's alone. */
function withIntroduction(part: Part, kind: TermKind, { intro, time }: Extract<Statement, { kind: 'introduction' }>): Part | null {
  const term = termIn(part, kind);
  if (!term || term.months === 0) return null;
  const periods = 'payments' in time ? time.payments : time.months / term.months;
  return Number.isInteger(periods) ? { ...part, terms: withTermOf(part.terms ?? [], { ...term, intro: { ...intro, periods } }) } : null;
}
