import type { PriceSheet } from '../decision/price-sheet';
import type { PageReading } from '../price-page/page-reading';
import type { Statement } from '../price-phrase/statement';
import { applyStatements, type ApplyContext } from './apply-statements';
import { noteFigure } from './figure-notes';
import { besideAbroad, leftOpen } from './left-open';
import { addonsOf, columnsOf } from './parts';

/** The answers given to a page's questions: which option of which question, by their place. */
export type ReadingAnswers = Readonly<Record<number, number>>;

/** What a page that states a figure differently from the sheet does to it. */
export type Differing = 'take' | 'keep';

/** A figure that stood on the sheet and that the page states differently. */
export interface DifferingFigure {
  readonly place: string;
  /** What stood there, written out. */
  readonly former: string;
  /** The page's own words for it. */
  readonly stated: string;
  readonly lines: readonly number[];
}

/** A sheet with what a page states put on it. */
export interface AppliedReading {
  readonly sheet: PriceSheet;
  /** The lines that each figure rests on, by the figure's place. */
  readonly linesAt: ReadonlyMap<string, readonly number[]>;
  readonly differing: readonly DifferingFigure[];
  readonly problems: readonly string[];
}

interface Stated {
  readonly statement: Statement;
  readonly lines: readonly number[];
}

const LONGEST_WORDS = 1000;
/** Prices come first, since trials and introductory prices belong to them; limits before the prices beyond them. */
const ORDER: readonly Statement['kind'][] = [
  'term',
  'limit',
  'charge',
  'feature',
  'joining',
  'introduction',
  'trial',
  'refund',
  'prorated',
];

/**
 * Puts what a page states on a sheet: its plans and add-ons by their names, those that are not there yet at the right;
 * each figure with the page's own words as its evidence. Questions that are not answered leave their figures open: a fee
 * that is asked about is there, and not known.
 *
 * @param differing - what happens to figures that the sheet states differently
 */
export function applyReading(
  sheet: PriceSheet,
  reading: PageReading,
  answers: ReadingAnswers,
  differing: Differing,
  context: ApplyContext,
): AppliedReading {
  const words = new Map(reading.lines.map(({ line, text }) => [line, text]));
  const filled = new SheetBeingFilled(prepared(sheet, reading), words, differing, context);
  const answered = reading.asked.flatMap((question, index) => {
    const stated = question.options[answers[index] ?? -1]?.statements ?? leftOpen(question);
    return stated.map(({ plan, statement }) => ({ plan, statement, lines: question.lines }));
  });
  for (const plan of reading.plans) {
    const also = answered
      .filter((one) => one.plan === plan.name)
      .map((one) => ({ ...one, statement: besideAbroad(one.statement, plan.facts) }));
    filled.plan(plan.name, reading, [...plan.facts, ...also]);
  }
  for (const addon of reading.addons)
    filled.addon(addon.name, reading, [...addon.facts, ...answered.filter((one) => one.plan === addon.name)]);
  return filled.result();
}

/** A sheet that is still blank takes the kind and the name of what the page is about. */
function prepared(sheet: PriceSheet, { isProcessor, vendor, currency }: PageReading): PriceSheet {
  if (sheet.kind !== 'offer') return sheet.kind === 'processor' && sheet.processor.label === '' ? withProcessorName(sheet, vendor) : sheet;
  const { offer, ...notes } = sheet;
  const isBlank = offer.plans.every(({ label, terms, charges = [] }) => label === '' && terms.length === 0 && charges.length === 0);
  if (isProcessor && isBlank) {
    const { kind: _kind, ...kept } = notes;
    return {
      ...kept,
      kind: 'processor',
      processor: { id: offer.id, label: vendor || offer.label, currency: currency ?? offer.plans[0]?.currency ?? 'EUR' },
    };
  }
  return offer.label === '' && vendor !== '' ? { ...sheet, offer: { ...offer, label: vendor, vendor: offer.vendor || vendor } } : sheet;
}

function withProcessorName(sheet: Extract<PriceSheet, { kind: 'processor' }>, label: string): PriceSheet {
  return { ...sheet, processor: { ...sheet.processor, label } };
}

/** A sheet while a page's parts are put on it, one after the other. */
class SheetBeingFilled {
  private readonly linesAt = new Map<string, number[]>();
  private readonly differingFigures: DifferingFigure[] = [];
  private readonly problems = new Set<string>();

  constructor(
    private sheet: PriceSheet,
    private readonly words: ReadonlyMap<number, string>,
    private readonly differing: Differing,
    private readonly context: ApplyContext,
  ) {}

  plan(name: string, reading: PageReading, facts: readonly Stated[]): void {
    const id = this.planId(name, reading);
    if (id === null) return;
    this.state(id, withTax(facts, reading));
  }

  addon(name: string, { currency }: PageReading, facts: readonly Stated[]): void {
    if (this.sheet.kind !== 'offer') {
      this.problems.add(`${name}: only a vendor’s sheet has add-ons; it was left out`);
      return;
    }
    const found = addonsOf(this.sheet).find(({ label }) => isSameName(label, name));
    if (found) return this.state(found.id, facts);
    const { offer } = this.sheet;
    const id = this.context.newId();
    const added = { id, label: name, currency: currency ?? offer.plans[0]?.currency ?? 'EUR' };
    this.sheet = { ...this.sheet, offer: { ...offer, addons: [...(offer.addons ?? []), added] } };
    this.state(id, facts);
  }

  result(): AppliedReading {
    let { sheet } = this;
    for (const [place, lines] of this.linesAt) {
      const stated = this.wordsOf(lines);
      if (stated !== '') sheet = noteFigure(sheet, place, { stated: stated.slice(0, LONGEST_WORDS) });
    }
    return { sheet, linesAt: this.linesAt, differing: this.differingFigures, problems: [...this.problems] };
  }

  private wordsOf(lines: readonly number[]): string {
    return [...new Set(lines)]
      .map((line) => this.words.get(line) ?? '')
      .filter((text) => text !== '')
      .join('; ');
  }

  /** The plan of that name; a plan without a name and prices gets it, else one is added at the right. */
  private planId(name: string, { currency, isProcessor }: PageReading): string | null {
    if (this.sheet.kind === 'processor') {
      if (isProcessor) return this.sheet.processor.id;
      this.problems.add('the page states plans, and this sheet is a payment processor’s; begin a new sheet for it');
      return null;
    }
    const [first] = columnsOf(this.sheet);
    if (this.sheet.kind === 'addon') return first?.id ?? null;
    if (isProcessor) {
      this.problems.add('the page is a payment processor’s, and this sheet has plans; begin a new sheet for it');
      return null;
    }
    const { offer } = this.sheet;
    const found = offer.plans.find(({ label }) => isSameName(label, name));
    if (found) return found.id;
    const blank = offer.plans.find(({ label, terms, charges = [] }) => label === '' && terms.length === 0 && charges.length === 0);
    const id = blank?.id ?? this.context.newId();
    const own = currency ?? blank?.currency ?? offer.plans[0]?.currency ?? 'EUR';
    const plans = blank
      ? offer.plans.map((plan) => (plan === blank ? { ...plan, label: name, currency: own } : plan))
      : [...offer.plans, { id, label: name, currency: own, terms: [] }];
    this.sheet = { ...this.sheet, offer: { ...offer, plans } };
    return id;
  }

  private state(part: string, facts: readonly Stated[]): void {
    const ordered = ORDER.flatMap((kind) => facts.filter(({ statement }) => statement.kind === kind));
    const others = facts.filter(({ statement }) => !ORDER.includes(statement.kind));
    for (const { statement, lines } of [...ordered, ...others]) {
      const applied = applyStatements(this.sheet, part, [statement], this.context);
      for (const problem of applied.problems) this.problems.add(problem);
      const changed = applied.places.flatMap((place) => {
        const former = applied.sheet.figures?.[place]?.otherwise;
        return former !== undefined && former !== this.sheet.figures?.[place]?.otherwise
          ? [{ place, former, lines, stated: this.wordsOf(lines) }]
          : [];
      });
      this.differingFigures.push(...changed);
      for (const place of applied.places) this.linesAt.set(place, [...(this.linesAt.get(place) ?? []), ...lines]);
      for (const [from, to] of applied.moved) this.moveLines(from, to);
      if (changed.length === 0 || this.differing === 'take') this.sheet = applied.sheet;
    }
  }

  /** The lines of a figure that became a part of another lead to that one. */
  private moveLines(from: string, to: string): void {
    const lines = this.linesAt.get(from) ?? [];
    this.linesAt.delete(from);
    this.linesAt.set(to, [...lines, ...(this.linesAt.get(to) ?? [])]);
  }
}

function withTax(facts: readonly Stated[], { taxExcluded }: PageReading): readonly Stated[] {
  return taxExcluded === null ? facts : [...facts, { statement: { kind: 'tax', excluded: taxExcluded }, lines: [] }];
}

function isSameName(one: string, other: string): boolean {
  return one.trim().toLowerCase() === other.trim().toLowerCase();
}
