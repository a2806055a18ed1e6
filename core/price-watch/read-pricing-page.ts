import { decimal } from '../amount/decimal';
import type { PriceSheet } from '../decision/price-sheet';
import type { Charge, Plan, Term } from '../decision-file/price-sheet-schema';
import { chargeWords, termSentence, withPoint } from '../price-phrase/price-sentence';
import type { PagePlan, PageReading } from '../price-page/page-reading';
import { readPricePage } from '../price-page/read-price-page';
import type { Clause, StatedCharge, StatedTerm, Statement } from '../price-phrase/statement';
import { applyStatements } from '../price-sheet/apply-statements';
import { rowOf } from '../price-sheet/grid-rows';
import { chargeKind } from '../price-sheet/rows/charge-row';
import { columnsOf, type Part } from '../price-sheet/parts';
import { readCell } from '../price-sheet/read-cell';
import { termWords } from '../wording/term-words';
import { type LinkedOffers, readLinkedData } from '../price-page/linked-data';
import type { Table } from '../sheet-import/table';
import { readWebPage } from '../sheet-import/web-page';
import type { FoundChange } from './found-change';

/** What a pricing page was found to say about a price sheet. */
export type PageFinding =
  | { readonly ok: true; readonly changes: readonly FoundChange[]; /** Plans of the sheet that the page states. */ readonly plans: number }
  | { readonly ok: false; readonly problem: string };

/**
 * Reads a vendor's pricing page against the sheet that is kept of it, figure by figure: prices by the page's schema.org
 * data or by what it shows, fees by what it says of each plan.
 *
 * A page that names none of the sheet's plans is taken for the end of them all only if it is by the same vendor; else it
 * is said that it is another page.
 *
 * @param html - at most a few megabytes; nothing in it is executed
 * @param newId - gives a fresh identifier for what is new
 */
export function readPricingPage(sheet: PriceSheet, html: string, newId: () => string): PageFinding {
  const page = readWebPage(html);
  const linked = readLinkedData(page.linkedData);
  const reading = readPricePage(html);
  const offers = linked ?? offersOf(reading);
  if (!offers) return { ok: false, problem: 'no price was found on the page; look at it yourself' };
  const parts = columnsOf(sheet);
  const vendor = sheet.kind === 'offer' ? sheet.offer.vendor : '';
  const matched = offers.plans.map((stated) => ({ stated, part: partNamed(parts, stated.plan, vendor) }));
  const known = new Set(matched.flatMap(({ part }) => (part ? [part.id] : [])));
  const isVendors = vendor !== '' && offers.vendor.trim().toLowerCase() === vendor.trim().toLowerCase();
  if (known.size === 0 && !isVendors)
    return {
      ok: false,
      problem: `the page names none of the plans on the sheet, but ${listed(offers.plans.map(({ plan }) => plan))}; is it the right page?`,
    };
  const named = parts.filter(({ label }) => label !== '').length;
  if (!linked && known.size > 0 && known.size * 2 < named)
    return {
      ok: false,
      problem: `the page has changed so much that only ${known.size} of the ${named} plans on the sheet can be found on it; look at it yourself`,
    };
  const changes = [
    ...matched.flatMap(({ stated, part }) => {
      if (part) return termChanges(part, stated, newId);
      return sheet.kind === 'offer' ? [newPlan(sheet, stated, newId)] : [];
    }),
    ...parts.filter(({ id }) => !known.has(id)).map(gone),
    ...page.tables.flatMap(({ table }) => feeChanges(parts, table, vendor)),
    ...(sheet.kind === 'offer' ? reading.plans.flatMap((stated) => rateChanges(partNamed(parts, stated.name, vendor), stated)) : []),
  ];
  return { ok: true, plans: known.size, changes: [...new Map(changes.map((change) => [change.id, change])).values()] };
}

/** What a page shows of its prices, in the form of data; null where it shows none. */
function offersOf({ plans, vendor }: PageReading): LinkedOffers | null {
  const priced = plans.filter(({ facts }) => facts.some(({ statement }) => statement.kind === 'term' || statement.kind === 'charge'));
  if (priced.length === 0) return null;
  return {
    vendor,
    plans: priced.map(({ name, facts }) => ({
      plan: name,
      clauses: facts.flatMap(({ statement }, at): Clause[] =>
        statement.kind === 'term' && statement.term.price !== null
          ? [{ kind: 'read', statements: [statement], text: '', from: at, to: at + 1 }]
          : [],
      ),
    })),
  };
}

/** Fees that the page states of a plan at another rate than the sheet: the same kind of fee, on the same orders. */
function rateChanges(part: Part | undefined, { facts }: PagePlan): FoundChange[] {
  if (!part) return [];
  return facts.flatMap(({ statement }): FoundChange[] => {
    if (statement.kind !== 'charge') return [];
    const { charge: stated } = statement;
    const alike = (part.charges ?? []).filter((one) => feeKey(one) === feeKey(stated));
    const [charge, ...others] = alike;
    if (!charge || others.length > 0 || (charge.how !== 'per-order' && charge.how !== 'per-unit') || stated.how !== charge.how) return [];
    const { percent: _percent, each: _each, ...rest } = charge;
    const changed: Charge = {
      ...rest,
      ...(stated.percent === undefined ? {} : { percent: stated.percent }),
      ...(stated.each === undefined ? {} : { each: stated.each }),
    };
    if (isSameRate(charge.percent, changed.percent) && isSameRate(charge.each, changed.each)) return [];
    const [before = '', after = ''] = [charge, changed].map((one) => words(chargeWords(one, withPoint), part.currency));
    const id = `charge ${part.id} ${charge.id} ${after}`;
    return [{ kind: 'charge', id, part: part.id, plan: part.label, what: charge.label, before, after, charge: changed }];
  });
}

/** What makes a fee the same fee, whatever its rate. */
function feeKey({ bucket = 'transaction', on = 'orders', only, how, credit = false }: StatedCharge | Charge): string {
  return JSON.stringify([bucket, on, only ?? null, how, credit]);
}

function isSameRate(one: string | null | undefined, other: string | null | undefined): boolean {
  return decimal(one ?? 0).eq(other ?? 0) && (one === null) === (other === null);
}

const listed = (names: readonly string[]) => names.slice(0, 4).join(', ');

function partNamed(parts: readonly Part[], name: string, vendor: string): Part | undefined {
  const plain = (text: string) => text.toLowerCase().replace(/\s+/g, ' ').trim();
  const wanted = plain(name);
  const short = wanted.startsWith(`${plain(vendor)} `) ? wanted.slice(vendor.length + 1).trim() : wanted;
  return parts.find(({ label }) => [wanted, short].includes(plain(label)));
}

/** Terms that the page's data state; the last of several for the same time holds. */
function statedTerms(clauses: LinkedOffers['plans'][number]['clauses']): Map<number, StatedTerm & { until?: string }> {
  const terms = new Map<number, StatedTerm & { until?: string }>();
  for (const clause of clauses) {
    if (clause.kind !== 'read') continue;
    const until = clause.statements.find((one): one is Extract<Statement, { kind: 'offer' }> => one.kind === 'offer')?.until;
    for (const statement of clause.statements)
      if (statement.kind === 'term') terms.set(statement.term.months, { ...statement.term, ...(until ? { until } : {}) });
  }
  return terms;
}

function termChanges(part: Part, { clauses }: LinkedOffers['plans'][number], newId: () => string): FoundChange[] {
  return [...statedTerms(clauses)].flatMap(([months, { until: _until, ...stated }]): FoundChange[] => {
    const found = part.terms?.find((term) => term.months === months);
    if (found && isSamePrice(found, stated)) return [];
    // What the data of a page cannot say, such as a refund window, stays as it is.
    const { intro: _former, ...rest } = found ?? { id: newId() };
    const term: Term = { ...rest, ...stated };
    const after = words(termSentence(term, withPoint), part.currency);
    return [
      {
        kind: 'term',
        id: `term ${part.id} ${months} ${after}`,
        part: part.id,
        plan: part.label,
        what: `paid ${termWords(months)}`,
        before: found ? words(termSentence(found, withPoint), part.currency) : 'not stated',
        after,
        term,
      },
    ];
  });
}

const words = (text: string, currency: string) => `${text} ${currency}`.slice(0, 600);

function isSamePrice(found: Term, stated: StatedTerm): boolean {
  const same = (one: string | null | undefined, other: string | null | undefined) =>
    one == null || other == null ? one === other : decimal(one).eq(other);
  const introOf = ({ intro }: StatedTerm) => {
    if (!intro) return '';
    if ('off' in intro) return `off ${intro.off} ${intro.periods}`;
    return `${intro.price === null ? '?' : decimal(intro.price).toFixed()} ${intro.periods}`;
  };
  return same(found.price, stated.price) && introOf(found) === introOf(stated);
}

/** A plan that the sheet does not have yet, with the prices that the page states. */
function newPlan(
  sheet: Extract<PriceSheet, { kind: 'offer' }>,
  { plan, clauses }: LinkedOffers['plans'][number],
  newId: () => string,
): FoundChange {
  const currency =
    clauses.flatMap((clause) => (clause.kind === 'read' ? clause.statements : [])).find((statement) => statement.currency !== undefined)
      ?.currency ??
    sheet.offer.plans[0]?.currency ??
    'EUR';
  const blank: Plan = { id: newId(), label: plan.slice(0, 300), currency, terms: [] };
  const statements = clauses
    .flatMap((clause) => (clause.kind === 'read' ? clause.statements : []))
    .filter(({ kind }) => kind === 'term' || kind === 'tax');
  const applied = applyStatements({ ...sheet, offer: { ...sheet.offer, plans: [blank] } }, blank.id, statements, { known: [], newId });
  const added = (applied.sheet.kind === 'offer' ? applied.sheet.offer.plans[0] : undefined) ?? blank;
  const after = words(added.terms.map((term) => termSentence(term, withPoint)).join(', ') || 'no price that could be read', currency);
  return { kind: 'new-plan', id: `new ${added.label} ${after}`, plan: added.label, what: 'a new plan', before: 'not there', after, added };
}

function gone({ id, label }: Part): FoundChange {
  return {
    kind: 'plan-gone',
    id: `gone ${id}`,
    part: id,
    plan: label,
    what: 'the plan',
    before: 'on the page',
    after: 'not on the page any more',
  };
}

/** Lines of a table that bear the name of a fee on the sheet, in the columns of plans that the sheet has. */
function feeChanges(parts: readonly Part[], table: Table, vendor: string): FoundChange[] {
  const [head, ...lines] = table;
  if (!head) return [];
  return head.flatMap((name, column) => {
    const part = column === 0 ? undefined : partNamed(parts, name, vendor);
    if (!part) return [];
    return lines.flatMap((line): FoundChange[] => {
      const charge = (part.charges ?? []).find(({ label }) => label !== '' && label.toLowerCase() === (line[0] ?? '').trim().toLowerCase());
      const stated = charge && statedFee(charge, line[column] ?? '');
      if (!charge || !stated) return [];
      const [before, after] = [charge, stated].map((one) => words(chargeWords(one, withPoint), part.currency));
      if (before === after || before === undefined || after === undefined) return [];
      return [
        {
          kind: 'charge',
          id: `charge ${part.id} ${charge.id} ${after}`,
          part: part.id,
          plan: part.label,
          what: charge.label,
          before,
          after,
          charge: stated,
        },
      ];
    });
  });
}

/** The fee with the rate that a cell states; null where it states none that can be read beyond doubt. */
function statedFee(charge: Charge, text: string): Charge | null {
  if (charge.how !== 'per-order' && charge.how !== 'per-unit') return null;
  const reading = readCell(rowOf(chargeKind(charge)), text, []);
  if (reading.kind !== 'statements') return null;
  const stated = reading.statements.find((one): one is Extract<Statement, { kind: 'charge' }> => one.kind === 'charge')?.charge;
  if (!stated || (stated.how !== 'per-order' && stated.how !== 'per-unit')) return null;
  const { percent: _percent, each: _each, ...rest } = charge;
  return {
    ...rest,
    ...(stated.percent === undefined ? {} : { percent: stated.percent }),
    ...(stated.each === undefined ? {} : { each: stated.each }),
  };
}
