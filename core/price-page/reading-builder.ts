import { END_OF_SENTENCE } from './plain-line';
import type { Statement } from '../price-phrase/statement';
import { impossibility } from '../price-phrase/impossible';
import { amountsIn, figuresIn } from './plain-figures';
import type { Fact, PageAddon, PageOption, PagePlan, PageQuestion, PageRemainder, PutAside } from './page-reading';
import type { PricePiece } from './price-pieces';

/** An amount with so many digits is no price, a time of so many months no term. */
const MOST_DIGITS = 16;
const MOST_MONTHS = 120;

interface PlanBeingRead {
  readonly name: string;
  readonly line: number;
  readonly facts: Fact[];
  readonly pieces: PricePiece[];
}

/** A line of the page as it is read: its own words and its plain figures. */
export interface ReadLine {
  readonly text: string;
  readonly plain: string;
}

/** Whether one of a line's sentences has amounts of which none is stated anywhere: what another says does not settle it. */
function hasUnsaid(plain: string, isSaid: (amount: string) => boolean): boolean {
  const sentences = plain.split(END_OF_SENTENCE);
  return sentences.length > 1 && sentences.map(amountsIn).some((amounts) => amounts.length > 0 && !amounts.some(isSaid));
}

/** Why a line that only has words is put aside. */
export const NO_FIGURE = 'no figure in it';

/** Collects what the lines of a page state, and what became of each line. */
export class ReadingBuilder {
  readonly plans: PlanBeingRead[] = [];
  readonly addons: PlanBeingRead[] = [];
  readonly asked: PageQuestion[] = [];
  private readonly open = new Map<number, string>();
  private readonly aside = new Map<number, PutAside>();
  private readonly used = new Set<number>();
  private readonly ofData = new Set<PlanBeingRead>();

  private readonly lines: Map<number, ReadLine>;

  constructor(lines: ReadonlyMap<number, ReadLine>) {
    this.lines = new Map(lines);
  }

  /** A line that the page does not show, such as one of its data. */
  addLine(text: string): number {
    const line = Math.max(0, ...this.lines.keys()) + 1;
    this.lines.set(line, { text, plain: text });
    return line;
  }

  /** What a line says, in plain figures. */
  plainOf(line: number): string {
    return this.lines.get(line)?.plain ?? '';
  }

  shownLines(): Array<{ line: number; text: string }> {
    return [...this.lines].map(([line, { text }]) => ({ line, text })).sort((a, b) => a.line - b.line);
  }

  /** The plan of a name, which is added if it is not there yet. */
  plan(name: string, line: number, isOfData = false): PlanBeingRead {
    const found = this.plans.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (found) return found;
    const added = { name, line, facts: [], pieces: [] };
    this.plans.push(added);
    if (isOfData) this.ofData.add(added);
    this.used.add(line);
    return added;
  }

  /** Whether a plan is known from the page's data alone. */
  isOfData(plan: PlanBeingRead): boolean {
    return this.ofData.has(plan);
  }

  names(): string[] {
    return this.plans.map(({ name }) => name);
  }

  /**
   * Puts a fact on a plan. Said again it is confirmed; said otherwise the first holds, which is the one nearer to the plan,
   * and the line is left to whatever else it says.
   */
  state(plan: PlanBeingRead, statement: Statement, ...lines: readonly number[]): void {
    if (impossibility(statement) !== null || takesMoreThanAll(statement)) {
      for (const line of lines) this.leaveOpen(line);
      return;
    }
    const at = plan.facts.findIndex((fact) => isAbout(fact.statement, statement));
    const found = plan.facts[at];
    if (!found) plan.facts.push({ statement, lines });
    else if (isEqual(found.statement, statement)) plan.facts[at] = { ...found, lines: [...new Set([...found.lines, ...lines])] };
    else return;
    for (const line of lines) this.used.add(line);
  }

  price(plan: PlanBeingRead, pieces: readonly PricePiece[]): void {
    for (const piece of pieces) {
      if ((piece.amount?.length ?? 0) >= MOST_DIGITS || (piece.first ?? 1) > MOST_MONTHS || (piece.billed ?? 1) > MOST_MONTHS)
        this.leaveOpen(piece.line);
      else {
        this.used.add(piece.line);
        plan.pieces.push(piece);
      }
    }
  }

  addon(name: string, line: number): PlanBeingRead {
    const found = this.addons.find((one) => one.name.toLowerCase() === name.toLowerCase());
    this.used.add(line);
    if (found) return found;
    const added = { name, line, facts: [], pieces: [] };
    this.addons.push(added);
    return added;
  }

  use(...lines: readonly number[]): void {
    for (const line of lines) this.used.add(line);
  }

  /** Asks once: what was asked of other plans in the same words is the same question. */
  ask(question: string, lines: readonly number[], plans: readonly string[], options: readonly PageOption[]): void {
    const at = this.asked.findIndex((one) => isAskedAlike(one, { question, plans, options }));
    const [before] = at < 0 ? [] : this.asked.splice(at, 1);
    if (before) {
      const both = before.options.map(({ label, statements }, index) => ({
        label,
        statements: [...statements, ...(options[index]?.statements ?? [])],
      }));
      return this.ask(question, [...before.lines, ...lines], [...before.plans, ...plans], both);
    }
    const text = [...new Set(lines)].map((line) => this.lines.get(line)?.text ?? '').join(' · ');
    this.asked.push({ question, text, lines: [...new Set(lines)], plans, options });
  }

  putAside(line: number, why: string): void {
    // One of its sentences has no figure; another may.
    const plain = this.lines.get(line)?.plain ?? '';
    if (why === NO_FIGURE && (amountsIn(plain).length > 0 || /\d%/.test(plain))) return;
    this.aside.set(line, { line, text: this.lines.get(line)?.text ?? '', why });
  }

  leaveOpen(line: number): void {
    this.open.set(line, this.lines.get(line)?.text ?? '');
  }

  isSettled(line: number): boolean {
    return this.used.has(line) || this.aside.has(line) || this.open.has(line) || this.asked.some(({ lines }) => lines.includes(line));
  }

  isUsed(line: number): boolean {
    return this.used.has(line);
  }

  /** Every line that is in none of the lists yet: with a figure it is open, without one it is only words. */
  remainder(saidElsewhere: (amount: string) => boolean): { open: PageRemainder[]; aside: PutAside[] } {
    const known = this.statedFigures();
    // What is charged for a TB is stated for a GB.
    const isStated = (amount: string) => saidElsewhere(amount) || known.has(Number(amount)) || known.has(Number(amount) / 1000);
    for (const [line, { plain }] of this.lines) {
      if (this.used.has(line) && hasUnsaid(plain, isStated)) this.leaveOpen(line);
      if (this.isSettled(line)) continue;
      const figures = figuresIn(plain);
      const amounts = amountsIn(plain);
      if (figures.length === 0) this.putAside(line, NO_FIGURE);
      else if (amounts.length > 0 && amounts.length === figures.length && amounts.every(saidElsewhere))
        this.putAside(line, 'a figure said before');
      else this.leaveOpen(line);
    }
    const stated = new Set([...this.plans, ...this.addons].flatMap(({ facts }) => facts.flatMap(({ lines }) => lines)));
    const inOrder = <One extends PageRemainder>(all: Iterable<One>) => [...all].sort((a, b) => a.line - b.line);
    return {
      open: inOrder([...this.open].map(([line, text]) => ({ line, text }))),
      aside: inOrder([...this.aside.values()].filter(({ line }) => !stated.has(line) && !this.open.has(line))),
    };
  }

  /** All figures that are stated or asked. */
  private statedFigures(): ReadonlySet<number> {
    const said = JSON.stringify([this.plans, this.addons, this.asked]);
    return new Set([...said.matchAll(/"(\d+(?:\.\d+)?)"/g)].map(([, figure]) => Number(figure)));
  }

  finishedPlans(): PagePlan[] {
    return this.plans.map(({ name, line, facts }) => ({ name, line, facts }));
  }

  finishedAddons(): PageAddon[] {
    return this.addons.filter(({ facts }) => facts.length > 0).map(({ name, line, facts }) => ({ name, line, facts }));
  }
}

export type { PlanBeingRead };

/** A fee of more than all of a sale is a slip of the page's. */
function takesMoreThanAll(statement: Statement): boolean {
  return statement.kind === 'charge' && 'percent' in statement.charge && Number(statement.charge.percent ?? 0) > 100;
}

/** Whether the same is asked of other plans, with the same answers to choose from. */
function isAskedAlike(before: PageQuestion, asked: Pick<PageQuestion, 'question' | 'plans' | 'options'>): boolean {
  const labels = ({ options }: Pick<PageQuestion, 'options'>) => options.map(({ label }) => label).join('\n');
  return before.question === asked.question && labels(before) === labels(asked) && !asked.plans.some((plan) => before.plans.includes(plan));
}

/** Whether two statements are about the same thing of a plan, so that the first one holds. */
function isAbout(one: Statement, other: Statement): boolean {
  switch (one.kind) {
    case 'term':
      return other.kind === 'term' && other.term.months === one.term.months;
    case 'limit':
      return other.kind === 'limit' && other.quantity === one.quantity && other.yearly === one.yearly;
    case 'feature':
      return other.kind === 'feature' && other.feature === one.feature;
    case 'charge':
      return other.kind === 'charge' && chargeKey(one) === chargeKey(other);
    case 'introduction':
      return false;
    default:
      return other.kind === one.kind;
  }
}

function isEqual(one: Statement, other: Statement): boolean {
  const bare = (statement: Statement) =>
    JSON.stringify(statement.kind === 'charge' ? { ...statement, charge: { ...statement.charge, label: '' } } : statement);
  return bare(one) === bare(other);
}

/** A fee is the same fee if its kind, what it is narrowed to and what it counts are the same. */
function chargeKey({ charge }: Extract<Statement, { kind: 'charge' }>): string {
  const { bucket = 'transaction', on = 'orders', only = null, label } = charge;
  const isNamed = bucket === 'payment' && !/^(?:card fee|domestic cards|cards from abroad|cards in person)$/i.test(label);
  return JSON.stringify([bucket, on, only, isNamed ? label : '']);
}
