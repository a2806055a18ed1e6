import { count, noun, whole } from './amount-rules';
import { type ChargeHead, chargeRule } from './charge-rules';
import { first, longest, made, type Match, type Rule, sequence, sign, words } from './grammar';
import { limitRule } from './limit-rules';
import { otherRule } from './other-rules';
import { impossibility } from './impossible';
import { type Reading, states } from './reading';
import { rowFigure } from './row-figures';
import { headingOf, type RowKind } from './row-kind';
import type { Clause, Option, Statement } from './statement';
import { bareAmount, termRule } from './term-rules';
import { readTheOtherWay, type Token, tokensOf } from './tokens';
import { type Bucket, quantityOf, slugOf } from './vocabulary';

/** What is known where a phrase is typed. */
export interface PhraseContext {
  /** What the row means that the phrase is typed in. */
  readonly row?: RowKind;
  /** Quantities that the forecast states. */
  readonly known?: readonly string[];
  /** Names of needs, such as `gift-cards`. */
  readonly needs?: readonly string[];
}

/** Longer texts are pages, not phrases. */
const LONGEST = 20_000;

/**
 * Reads what a pricing page says.
 *
 * Nothing is guessed in silence: every stretch of the text comes back as read, as a question, or as not understood.
 *
 * @param text - one or several statements, separated by commas, semicolons, "or", "and" or line breaks
 * @returns the stretches in the order of the text; currencies are as named, quantities by their usual names
 * @example readPhrase('27/mo or 258 billed yearly') // two clauses, a term of 1 and one of 12 months
 */
export function readPhrase(text: string, context: PhraseContext = {}): Clause[] {
  const source = text.slice(0, LONGEST);
  const tokens = tokensOf(source);
  const clauses: Clause[] = [];
  const unread = (from: number, to: number) => {
    const last = clauses.at(-1);
    if (last?.kind === 'not-understood' && !source.slice(last.to, from).includes('\n'))
      clauses[clauses.length - 1] = { kind: 'not-understood', text: source.slice(last.from, to), from: last.from, to };
    else clauses.push({ kind: 'not-understood', text: source.slice(from, to), from, to });
  };
  let at = 0;
  let row = context.row ?? null;
  let label: string | undefined;
  while (at < tokens.length) {
    const token = tokens[at];
    if (!token) break;
    if (token.kind === 'line') [row, label] = [context.row ?? null, undefined];
    const written = writtenHead(tokens, at, source);
    if (isSeparator(token) && !isMinus(tokens, at) && !written && (token.kind !== 'word' || !readAt(tokens, at, row, label))) {
      at += 1;
      continue;
    }
    const head = written ?? (context.row ? null : looseHead(tokens, at, source, context.known ?? []));
    const start = head ? head.next : at;
    if (head) [row, label] = [head.row, head.row === null ? head.label : undefined];
    const underHead = readAt(tokens, start, row, label);
    const asWhole = head && head.row === null ? plainRules(tokens, at) : null;
    const match =
      (asWhole && asWhole.next > (underHead?.next ?? at) ? asWhole : underHead) ??
      (head && head.row === null ? bareAmount(tokens, start) : null) ??
      (context.row ? null : knownName(context)(tokens, at));
    if (!match) {
      const stop = endOfClause(tokens, at);
      unread(token.from, (tokens[stop - 1] ?? token).to);
      at = stop;
      continue;
    }
    const [from, to] = [token.from, (tokens[match.next - 1] ?? token).to];
    const clause = clauseOf(match.value, tokens, start, row, label, { text: source.slice(from, to), from, to });
    const rest = readAt(tokens, match.next, row, label) ? match.next : restOf(tokens, match.next);
    clauses.push(rest === match.next ? clause : withRest(clause, source, (tokens[rest - 1] ?? token).to));
    at = rest;
  }
  if (text.length > LONGEST)
    clauses.push({ kind: 'not-understood', text: `… and ${text.length - LONGEST} characters more`, from: LONGEST, to: text.length });
  return clauses;
}

/** "1,700 listings" and "shop" where the forecast counts listings and a need is called so. */
function knownName({ known = [], needs = [] }: PhraseContext): Rule<Reading> {
  return first<Reading>(
    made(whole(sequence(count, noun)), ([most, words]) => {
      const quantity = quantityOf(words, known);
      return known.includes(quantity) ? states({ kind: 'limit', quantity, most }) : null;
    }),
    made(whole(noun), (words) => {
      const feature = [slugOf(words), `${slugOf(words)}s`].find((name) => needs.includes(name));
      return feature === undefined ? null : states({ kind: 'feature', feature, value: true });
    }),
  );
}

function isSeparator(token: Token): boolean {
  return (
    token.kind === 'line' ||
    (token.kind === 'sign' && [',', ';', '.', '•', '*', '-', '|', '·', '/', '(', ')'].includes(token.text)) ||
    (token.kind === 'word' && ['or', 'and', 'plus', 'then', 'just', 'only', 'but'].includes(token.text))
  );
}

/** A minus in front of a number is no dash between two things: no price is below nothing. */
function isMinus(tokens: readonly Token[], at: number): boolean {
  const [token, next] = [tokens[at], tokens[at + 1]];
  return token?.kind === 'sign' && token.text === '-' && (next?.kind === 'number' || next?.kind === 'currency') && next.from === token.to;
}

/** Where words end that directly follow what was read and are not understood: they may change what it means. */
function restOf(tokens: readonly Token[], at: number): number {
  const token = tokens[at];
  if (!token || token.kind === 'line' || isSeparator(token) || token.kind === 'quoted') return at;
  return endOfClause(tokens, at);
}

/** A clause with words behind it that are not understood: it holds only if the person says so. */
function withRest(clause: Clause, source: string, to: number): Clause {
  const rest = source.slice(clause.to, to).trim();
  const place = { text: source.slice(clause.from, to), from: clause.from, to };
  if (clause.kind === 'not-understood') return { ...clause, ...place };
  if (clause.kind === 'asked') return { ...clause, ...place, question: `${clause.question} (“${rest}” behind it is not understood.)` };
  return {
    kind: 'asked',
    question: `“${rest}” is not understood. Does “${clause.text}” hold without it?`,
    options: [{ label: `yes, “${clause.text}”`, statements: clause.statements }],
    ...place,
  };
}

/** Where a stretch that cannot be read ends: before the next separator, and never before its own second token. */
function endOfClause(tokens: readonly Token[], at: number): number {
  let stop = at + 1;
  while (stop < tokens.length) {
    const token = tokens[stop];
    if (
      !token ||
      token.kind === 'line' ||
      (token.kind === 'sign' && [',', ';', '.'].includes(token.text)) ||
      (token.kind === 'word' && token.text === 'or')
    )
      break;
    stop += 1;
  }
  return stop;
}

interface Head {
  readonly row: RowKind | null;
  readonly label: string;
  readonly next: number;
}

const YES_OR_NO = words('yes', 'no', '✓', '✔', '✗', '✕', '✘', 'included', 'not included');

const BUCKETS: Readonly<Record<string, Bucket>> = { payment: 'payment', transaction: 'transaction', usage: 'usage', 'add on': 'addon' };
const bucketMark = made(sequence(sign('('), words(...Object.keys(BUCKETS)), sign(')'), sign(':')), ([, found]) => BUCKETS[found] ?? null);

/** "Card fee (payment):" in front of a written-out charge. */
function writtenHead(tokens: readonly Token[], at: number, source: string): Head | null {
  if (tokens[at]?.kind === 'sign' || tokens[at]?.kind === 'line') return null;
  for (let index = at + 1; index < Math.min(tokens.length, at + 40); index += 1) {
    const token = tokens[index];
    if (!token || token.kind === 'line' || (token.kind === 'sign' && token.text === ';')) return null;
    const mark = bucketMark(tokens, index);
    if (!mark) continue;
    const start = tokens[at];
    const label = start?.kind === 'quoted' && index === at + 1 ? start.text : source.slice(start?.from ?? 0, token.from).trim();
    return { row: { kind: 'charge', label, bucket: mark.value }, label, next: mark.next };
  }
  return null;
}

/** "Transaction fee:" in front of a figure. */
function looseHead(tokens: readonly Token[], at: number, source: string, known: readonly string[]): Head | null {
  for (let index = at; index < Math.min(tokens.length, at + 7); index += 1) {
    const token = tokens[index];
    if (!token) return null;
    if (token.kind === 'sign' && token.text === ':' && index > at) {
      const label = source.slice(tokens[at]?.from ?? 0, token.from).trim();
      const row = headingOf(label, known);
      // "mailings: yes" is a feature, "mailings: 5,000" a limit.
      return { row: row?.kind === 'limit' && YES_OR_NO(tokens, index + 1) ? null : row, label, next: index + 1 };
    }
    if (token.kind !== 'word' && !(token.kind === 'number' && index > at) && !(token.kind === 'sign' && ['(', ')'].includes(token.text)))
      return null;
  }
  return null;
}

function readAt(tokens: readonly Token[], at: number, row: RowKind | null, label: string | undefined): Match<Reading> | null {
  const bareHere = label === undefined ? bareAmount : () => null;
  const bare = row ? rowFigure(row) : bareHere;
  return longest<Reading>(bare, termRule, chargeRule(headOf(row, label)), limitRule, otherRule)(tokens, at);
}

/** A stretch with a colon in it that is no heading: "gift cards: yes", "each part of … at its own price: …". */
const plainRules: Rule<Reading> = longest<Reading>(termRule, chargeRule(null), limitRule, otherRule);

function headOf(row: RowKind | null, label: string | undefined): ChargeHead | null {
  if (row?.kind === 'charge') return { label: row.label, bucket: row.bucket, ...(row.only ? { only: row.only } : {}) };
  return label === undefined ? null : { label };
}

/** A reading as a clause; where a number can be read two ways and it matters, the question which way. */
function clauseOf(
  reading: Reading,
  tokens: readonly Token[],
  at: number,
  row: RowKind | null,
  label: string | undefined,
  place: { text: string; from: number; to: number },
): Clause {
  const readings = reading.ask ? reading.ask.options.map((option) => option.statements) : [reading.statements];
  const whyNot = readings.map((statements) => statements.map(impossibility).find((one) => one !== null) ?? null);
  if (whyNot[0] && whyNot.every((why) => why !== null)) return { kind: 'not-understood', why: whyNot[0], ...place };
  const twoWays = tokens.slice(at).find((token) => token.kind === 'number' && token.other !== undefined && token.from < place.to);
  const other = twoWays?.kind === 'number' ? readAt(readTheOtherWay(tokens), at, row, label)?.value : undefined;
  const isSame = other === undefined || JSON.stringify(other) === JSON.stringify(reading);
  const question = `“${place.text}” can be read two ways. Which number is meant?`;
  if (!isSame && twoWays?.kind === 'number')
    return { kind: 'asked', question, options: [...optionsOf(reading, twoWays.value), ...optionsOf(other, twoWays.other ?? '')], ...place };
  if (reading.ask) return { kind: 'asked', ...reading.ask, ...place };
  return { kind: 'read', statements: reading.statements, ...(reading.remark === undefined ? {} : { remark: reading.remark }), ...place };
}

function optionsOf(reading: Reading, number: string): Option[] {
  if (!reading.ask) return [{ label: number, statements: reading.statements }];
  return reading.ask.options.map(({ label, statements }) => ({ label: `${number}: ${label}`, statements }));
}

/** All statements that were read beyond doubt. */
export function statementsOf(clauses: readonly Clause[]): Statement[] {
  return clauses.flatMap((clause) => (clause.kind === 'read' ? clause.statements : []));
}
