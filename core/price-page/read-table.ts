import { isButton } from './line-kinds';
import type { PageTable } from './page-blocks';
import type { Fact } from './page-reading';
import type { PlainLine } from './plain-line';
import { type PlanTable, priceSteps, readRow } from './page-tables';
import type { CellReading } from './table-row';
import { addonAt, isMoreOfPlans } from './add-ons';
import { askRegion, type RegionalFee } from './ask-region';
import { decimal, isSameAmount } from '../amount/decimal';
import type { Statement } from '../price-phrase/statement';
import { type PricePiece, pricePieces, wordPrice } from './price-pieces';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import type { WholePage } from './page-conditions';

/** What surrounds a table of plans. */
interface TableSurroundings {
  /** What stands in its corner. */
  readonly head?: string;
  /** Lines that head groups of rows. */
  readonly groups: readonly number[];
}

/** Reads a table of plans, whether its plans have been named before or not. */
export function readPlanTable(
  table: PlanTable,
  builder: ReadingBuilder,
  { head = '', groups }: TableSurroundings,
  whole?: WholePage,
): void {
  builder.use(table.line);
  builder.use(...groups);
  const steps = priceSteps(table, head);
  const known = builder.names();
  const plans = table.names.map((name, column) => builder.plan(matching(name, known), table.nameLines?.[column] ?? table.line));
  if (steps) readPriceSteps(steps, builder);
  const isMonthly = table.rows.some(({ heading }) => /^(?:price )?(?:per|a|by the) month\b|^monthly (?:price|fee)\b/i.test(heading));
  for (const [column, lines] of table.heads.entries()) {
    const plan = plans[column];
    if (plan)
      builder.price(plan, pricePieces(lines.map((one) => (wordPrice(one.plain) === 'free' ? { ...one, plain: '¤0 per month' } : one))));
  }
  for (const row of table.rows) {
    if (steps?.rows.includes(row) || steps?.beyond.includes(row.line)) continue;
    const told = row.cells.filter(({ plain }) => plain !== '');
    if (told.length === 0 || told.every(({ plain }) => isButton(plain))) {
      builder.putAside(row.line, told.length === 0 ? 'heading' : 'button');
      continue;
    }
    noticeMonthly(row.heading, whole);
    if (isTermOfAll(row, whole)) {
      for (const { line } of [row, ...row.cells]) builder.putAside(line, 'how long the prices are paid ahead for');
      continue;
    }
    if (/\d/.test(row.heading) && row.cells.every(({ line }) => line !== row.line)) builder.putAside(row.line, 'heading');
    else builder.use(row.line);
    const regional: RegionalFee[] = [];
    const readings = readRow(row);
    for (const [column, cell] of readings.entries()) {
      const plan = plans[column];
      const line = row.cells[column]?.line ?? row.line;
      if (!plan) continue;
      for (const statement of cell.statements) builder.state(plan, statement, line);
      builder.price(plan, cell.pieces);
      for (const statement of cell.regional ?? []) regional.push({ plan: plan.name, statement });
      if (cell.addon)
        builder.price(builder.addon(cell.addon.name, line), isMonthly ? cell.addon.pieces.map(byTheMonth) : cell.addon.pieces);
      if (cell.isOpen) builder.leaveOpen(line);
      if (cell.why !== undefined && line !== row.line) builder.putAside(line, cell.why);
    }
    if (regional.length > 0) askRegion(builder, regional, [row.line]);
    // A row of which nothing counts says why.
    const [why] = readings.every(isNothing) ? readings.flatMap((cell) => cell.why ?? []) : [];
    if (why !== undefined) builder.putAside(row.line, why);
  }
}

function isNothing({ statements, pieces, addon, regional, isOpen }: CellReading): boolean {
  return statements.length === 0 && pieces.length === 0 && !addon && (regional ?? []).length === 0 && isOpen !== true;
}

/** In a table whose prices are those of a month, so is what an add-on costs. */
function byTheMonth(piece: PricePiece): PricePiece {
  return piece.per === null && piece.billed === null && !piece.isOnce ? { ...piece, per: 1 } : piece;
}

function matching(name: string, known: readonly string[]): string {
  return known.find((one) => one.toLowerCase() === name.toLowerCase()) ?? name;
}

function noticeMonthly(heading: string, whole: WholePage | undefined): void {
  if (whole && /\bmonthly\b/i.test(heading)) whole.hasMonthly = true;
}

const TERM_HEADING =
  /^(?:(?:contract|minimum|billing|initial|first|payment) )?(?:term|length|period|contract|commitment|interval|cycle)(?: length)?$|^(?:billing|billed|paid|payments?)$/i;
const LENGTHS: Readonly<Record<string, string>> = { monthly: '1 month', quarterly: '3 month', yearly: '12 month', annually: '12 month' };

/** "Term | 12 months | 12 months": how long the prices of all are paid ahead for. */
function isTermOfAll({ heading, cells }: PlanTable['rows'][number], whole: WholePage | undefined): boolean {
  const lengths = new Set(cells.map(({ plain }) => lengthIn(plain.toLowerCase())));
  const [length = ''] = lengths;
  const [count = '', unit = ''] = length.split(' ');
  if (!whole || !TERM_HEADING.test(heading) || lengths.size !== 1 || count === '') return false;
  whole.paidAtOnce ??= Number(count) * (unit.toLowerCase() === 'year' ? 12 : 1);
  return true;
}

function lengthIn(cell: string): string {
  return LENGTHS[cell] ?? /^(\d+)[ -](month|year)s?$/.exec(cell)?.slice(1).join(' ') ?? '';
}

/** Steps of a price that a plan has besides its own price are asked about: they may come in its place. */
function readPriceSteps(steps: NonNullable<ReturnType<typeof priceSteps>>, builder: ReadingBuilder): void {
  const charges = steps.charges.map(({ plan: name, statement, lines }) => {
    const plan = builder.plans.find(isCalled(name));
    takeForStep(plan, statement, builder);
    return { plan: name, ...withFirstStep(plan, { statement, lines }) };
  });
  const priced = charges.filter(({ plan }) => builder.plans.some((one) => isCalled(plan)(one) && one.pieces.length > 0));
  for (const { plan: name, statement, lines } of charges) {
    if (priced.length > 0) break;
    builder.state(builder.plan(name, lines[0] ?? 0), statement, ...lines);
  }
  for (const line of steps.beyond) builder.putAside(line, 'beyond the last step, to be asked for');
  if (priced.length === 0) return;
  builder.ask(
    `The price goes up with ${steps.quantity.replaceAll('-', ' ')}. Do these steps take the place of the plan’s own price?`,
    priced.flatMap(({ lines }) => [...lines]),
    priced.map(({ plan }) => plan),
    [
      { label: 'yes, each step is the whole price', statements: priced.map(({ plan, statement }) => ({ plan, statement })) },
      { label: 'leave the steps out', statements: [] },
    ],
  );
}

const isCalled = (name: string) => (plan: { readonly name: string }) => plan.name.toLowerCase() === name.toLowerCase();

/** "from ¤12 a month" above steps of which one is ¤12 shows that step, and is no price of its own. */
function takeForStep(plan: PlanBeingRead | undefined, statement: Statement, builder: ReadingBuilder): void {
  if (!plan || statement.kind !== 'charge' || !('bands' in statement.charge)) return;
  const { bands } = statement.charge;
  const isStep = ({ amount, per, billed, isOnce }: PricePiece) =>
    per === 1 && (billed ?? 1) === 1 && !isOnce && bands.some(({ flat }) => isSameAmount(flat ?? null, amount));
  if (!plan.pieces.every(isStep)) return;
  for (const { line } of plan.pieces.splice(0)) builder.putAside(line, 'one of the steps of its price');
}

/** "¤9 a month" for "500 contacts" is the first step of a price that is ¤15 for 1,000. */
function withFirstStep(plan: PlanBeingRead | undefined, stated: Fact): Fact {
  const { statement, lines } = stated;
  const charge = statement.kind === 'charge' && 'bands' in statement.charge ? statement.charge : null;
  const [second] = charge?.bands ?? [];
  const at = plan?.facts.findIndex(({ statement: one }) => one.kind === 'limit' && one.quantity === charge?.on) ?? -1;
  const counted = plan?.facts[at];
  const [price, ...more] = plan?.pieces ?? [];
  if (!plan || !charge || !second?.flat || !second.upTo || counted?.statement.kind !== 'limit' || !price || more.length > 0) return stated;
  const { most } = counted.statement;
  const isFirst = typeof most === 'string' && decimal(most).lt(second.upTo);
  const isMonthly = price.per === 1 && (price.billed ?? 1) === 1 && !price.isCrossedOut && !price.isRenewal && price.first === null;
  if (!isFirst || !isMonthly || price.amount === null || decimal(price.amount).isZero() || decimal(price.amount).gt(second.flat))
    return stated;
  plan.facts.splice(at, 1);
  plan.pieces.splice(0);
  const bands = [{ upTo: most, flat: price.amount }, ...charge.bands];
  return { statement: { kind: 'charge', charge: { ...charge, bands } }, lines: [...lines, price.line, ...counted.lines] };
}

/**
 * A table of names and prices that is not about plans: add-ons, one a row.
 *
 * @returns its other rows as lines: "Free trial | 30 days" says what a sentence could
 */
export function readPriceList(table: PageTable, plain: (text: string) => string, builder: ReadingBuilder): PlainLine[] {
  const others: PlainLine[] = [];
  for (const { line, cells } of table.rows) {
    const [name = '', ...rest] = cells.map((cell) => plain(cell.replaceAll('\n', ' ')));
    const price = rest.find((cell) => /¤\d/.test(cell));
    const addon = price === undefined ? null : addonAt([{ kind: 'line', line, text: name, plain: `${name}: ${price}` }], 0, true);
    if (!addon) {
      const told = rest.filter((cell) => cell !== '');
      if (name !== '' && told.length === 1) others.push({ kind: 'line', line, text: `${name}: ${told[0]}`, plain: `${name}: ${told[0]}` });
      continue;
    }
    if (addon.charge && isMoreOfPlans(addon) && builder.plans.length > 0) {
      for (const plan of builder.plans) builder.state(plan, { ...addon.charge, beyond: true }, line);
      continue;
    }
    const added = builder.addon(addon.name, line);
    if (addon.charge) builder.state(added, addon.charge, line);
    builder.price(added, addon.pieces);
  }
  return others;
}
