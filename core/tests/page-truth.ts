import { decimal } from '../amount/decimal';
import type { PageReading } from '../price-page/page-reading';
import type { StatedCharge, Statement } from '../price-phrase/statement';
import { quantityOf, slugOf } from '../price-phrase/vocabulary';

/** One thing that a page states, as its truth was written by hand: "term 12 156", "fee 2.9%+0.30 payment". */
export interface TruthItem {
  readonly type: string;
  /** A plan; null for an add-on. */
  readonly plan: string | null;
  readonly addon?: string;
  readonly value: string;
}

export interface PageTruth {
  readonly currency: string;
  readonly items: readonly TruthItem[];
}

/**
 * Reads a truth of our own pages: a line a plan, "all" and "paid" for what one sentence states of several, "+" before an
 * add-on.
 */
export function ownTruth(text: string): PageTruth {
  let currency = 'USD';
  const items: TruthItem[] = [];
  const shared: Array<{ whom: string; type: string; value: string }> = [];
  for (const line of text.trim().split('\n')) {
    if (line.startsWith('currency ')) currency = line.slice('currency '.length);
    if (!line.includes(':')) continue;
    const whom = line.slice(0, line.indexOf(':'));
    for (const said of line.slice(line.indexOf(':') + 1).split(';')) {
      const [type = '', ...rest] = said.trim().split(' ');
      const value = rest.join(' ');
      if (whom.startsWith('+')) items.push({ type, plan: null, addon: whom.slice(1), value });
      else if (whom === 'all' || whom === 'paid') shared.push({ whom, type, value });
      else items.push({ type, plan: whom === '*' ? '' : whom, value });
    }
  }
  const plans = [...new Set(items.flatMap(({ plan }) => (plan === null ? [] : [plan])))];
  const isFree = (plan: string) => items.some((item) => item.plan === plan && item.type === 'term' && /^1 (?:0|\?)$/.test(item.value));
  for (const { whom, type, value } of shared)
    for (const plan of plans) if (whom === 'all' || !isFree(plan)) items.push({ type, plan, value });
  return { currency, items };
}

/** The truth's items that a reading does not state, written out. */
export function notStated(reading: PageReading, { items }: PageTruth): string[] {
  return items.filter((item) => !isStated(reading, item)).map(({ plan, addon, type, value }) => `${plan ?? `+${addon}`}: ${type} ${value}`);
}

const MONEY = new Set<Statement['kind']>(['term', 'charge', 'introduction', 'joining', 'trial', 'refund']);

/** What a reading states of money, of plans or of add-ons, and the truth does not: each with the line it was read from. */
export function saidWithoutTruth(reading: PageReading, { items }: PageTruth): string[] {
  const text = (lines: readonly number[]) => reading.lines.find(({ line }) => line === lines[0])?.text ?? '';
  const parts = [
    ...reading.plans.map((plan) => ({ part: plan, only: { ...reading, isProcessor: false, plans: [plan], addons: [] } })),
    ...reading.addons.map((addon) => ({ part: addon, only: { ...reading, isProcessor: false, plans: [], addons: [addon] } })),
  ];
  return parts.flatMap(({ part, only }) => {
    const facts = part.facts.filter(({ statement }) => MONEY.has(statement.kind) && !isNothing(statement));
    const single = (fact: (typeof facts)[number]) =>
      only.plans.length > 0 ? { ...only, plans: [{ ...part, facts: [fact] }] } : { ...only, addons: [{ ...part, facts: [fact] }] };
    return facts
      .filter((fact) => !items.some((item) => isStated(single(fact), item)))
      .map(({ statement, lines }) => `${part.name}: ${statement.kind} from “${text(lines)}”`);
  });
}

/** That nothing is paid for something is often said, and seldom written into a truth. */
function isNothing(statement: Statement): boolean {
  if (statement.kind === 'joining') return statement.amount === '0';
  return statement.kind === 'charge' && statement.charge.how === 'per-order' && statement.charge.percent === '0' && !statement.charge.each;
}

function isStated(reading: PageReading, item: TruthItem): boolean {
  const statements = statementsFor(reading, item);
  if (item.type === 'plan') return statements !== null;
  return (statements ?? []).some((statement) => alternatives(item).some((value) => says(statement, item.type, value, statements ?? [])));
}

/** Of terms and introductory prices whole values are alternatives, of a fee its words, of all else single words. */
function alternatives({ type, value }: TruthItem): string[] {
  if (type === 'term' || type === 'intro' || type === 'addon') return value.split('|');
  const [rate = '', ...rest] = value.split(' ');
  if (type === 'fee')
    return rest
      .join(' ')
      .split('|')
      .map((words) => `${rate} ${words}`);
  const of = (words: readonly string[]): string[][] => {
    const [first, ...others] = words;
    return first === undefined ? [[]] : first.split('|').flatMap((one) => of(others).map((tail) => [one, ...tail]));
  };
  return of(value.split(' ')).map((words) => words.join(' '));
}

function statementsFor(reading: PageReading, { plan, addon, type }: TruthItem): Statement[] | null {
  if (plan !== null) {
    const found = reading.plans.find(({ name }) => name.toLowerCase() === plan.toLowerCase() || plan === '');
    return found
      ? withDefaults(
          found.facts.map(({ statement }) => statement),
          reading.isProcessor,
        )
      : null;
  }
  const words = (text: string) =>
    slugOf(text)
      .split('-')
      .map((word) => (word.length > 3 ? word.replace(/s$/, '') : word));
  const own = reading.addons.filter(({ name }) => words(name).some((word) => word.length > 2 && words(addon ?? '').includes(word)));
  const onPlans = type === 'addonunit' ? reading.plans.flatMap(({ facts }) => facts) : [];
  return [...own.flatMap(({ facts }) => facts), ...onPlans].map(({ statement }) => statement);
}

/** A processor without a monthly fee has none. */
function withDefaults(statements: Statement[], isProcessor: boolean): Statement[] {
  if (!isProcessor) return statements;
  return [...statements, { kind: 'term', term: { months: 1, price: '0' } }, { kind: 'joining', label: '', amount: '0' }];
}

const isSame = (one: unknown, other: string) => typeof one === 'string' && /^[\d.]+$/.test(one) && decimal(one).eq(other);

function says(statement: Statement, type: string, value: string, all: readonly Statement[]): boolean {
  const words = value.split(' ');
  const [first = '', second = ''] = words;
  switch (type) {
    case 'addon':
      if (statement.kind === 'charge' && 'each' in statement.charge) return isSame(statement.charge.each, second);
      return isTerm(statement, first, second);
    case 'term':
      return isTerm(statement, first, second);
    case 'intro':
      return isIntroduction(statement, first, second);
    case 'trial':
      return statement.kind === 'trial' && statement.days === Number(first);
    case 'refund':
      return statement.kind === 'refund' && statement.days === Number(first);
    case 'join':
      return statement.kind === 'joining' && isSame(statement.amount, first);
    case 'lim':
      return isLimit(statement, first, second, all);
    case 'feat':
      return isFeature(statement, first, second);
    case 'fee':
      return statement.kind === 'charge' && isFee(statement.charge, words);
    default:
      return statement.kind === 'charge' && isPrice(statement.charge, type, words);
  }
}

function isTerm(statement: Statement, months: string, amount: string): boolean {
  if (statement.kind !== 'term') return false;
  const { term } = statement;
  if (amount === '?') return term.price === null;
  return isSame(term.price, amount) && (term.months === Number(months) || amount === '0');
}

function isIntroduction(statement: Statement, months: string, price: string): boolean {
  const [amount = '', times = ''] = price.split('x');
  if (statement.kind === 'introduction')
    return (
      'price' in statement.intro &&
      isSame(statement.intro.price, amount) &&
      'months' in statement.time &&
      statement.time.months === Number(times)
    );
  if (statement.kind !== 'term' || !statement.term.intro || !('price' in statement.term.intro)) return false;
  const { price: lower, periods } = statement.term.intro;
  return statement.term.months === Number(months) && isSame(lower, amount) && periods === Number(times);
}

const names = (text: string) => text.split('/');

function isQuantity(found: string, wanted: string): boolean {
  const usual = (name: string) => quantityOf(name.replaceAll('-', ' '), []).replace(/s$/, '');
  return names(wanted).some(
    (name) => usual(name) === usual(found) || ALIKE.some((group) => group.includes(usual(name)) && group.includes(usual(found))),
  );
}

const ALIKE = [
  ['mailboxe', 'mailbox', 'email-account'],
  ['staff', 'seat', 'user'],
  ['storage', 'gb', 'web-space', 'disk'],
  ['bandwidth', 'traffic', 'gb'],
];

function isLimit(statement: Statement, wanted: string, most: string, all: readonly Statement[]): boolean {
  if (statement.kind === 'limit' && isQuantity(statement.quantity, wanted))
    return most === 'inf' ? statement.most === true : isSame(statement.most, most);
  if (statement.kind === 'feature' && slugOf(statement.feature).includes(names(wanted)[0]?.replace(/s$/, '') ?? '?'))
    return most === '0' && statement.value === false;
  const free = statement.kind === 'charge' && 'free' in statement.charge ? statement.charge.free : undefined;
  const isOverage = most !== 'inf' && statement.kind === 'charge' && isQuantity(statement.charge.on ?? 'orders', wanted);
  return isOverage && isSame(free, most) && !all.some((one) => one.kind === 'limit' && isQuantity(one.quantity, wanted));
}

function isFeature(statement: Statement, wanted: string, value: string): boolean {
  if (statement.kind === 'limit') return value === 'no' && statement.most === '0' && isQuantity(statement.quantity, wanted);
  if (statement.kind !== 'feature') return false;
  const words = (text: string) =>
    new Set(
      slugOf(text)
        .split('-')
        .map((word) => (word.length > 3 ? word.replace(/s$/, '') : word)),
    );
  const mine = words(statement.feature);
  const isNamed = names(wanted).some((name) => {
    const theirs = [...words(name)].filter((word) => !['and', 'of', 'in', 'the', 'for', 'to', 'with', 'a'].includes(word));
    return theirs.every((word) => mine.has(word)) || [...mine].every((word) => theirs.includes(word));
  });
  if (!isNamed) return false;
  return value === 'yes' || value === 'no' ? statement.value === (value === 'yes') : isSame(statement.value, value);
}

function isFee(charge: StatedCharge, [rate = '', ...words]: readonly string[]): boolean {
  if (charge.how !== 'per-order') return false;
  const [, percent = '0', each = '0'] = /^(?:([\d.]+)%)?\+?([\d.]+)?$/.exec(rate) ?? [];
  if (!isSame(charge.percent ?? '0', percent) || !isSame(charge.each ?? '0', each)) return false;
  const { cards = [], channels = [], payments } = charge.only ?? {};
  const label = words.find((word) => word.startsWith('label='))?.slice('label='.length);
  const bucket = words.find((word) => /^(?:payment|transaction|usage)$/.test(word));
  if (bucket !== undefined && (charge.bucket ?? 'transaction') !== bucket) return false;
  if (words.includes('outside') !== (payments === 'outside')) return false;
  if (label === undefined && cards.some((kind) => kind !== 'domestic' && kind !== 'international')) return false;
  if (label !== undefined) return names(label).some((word) => charge.label.toLowerCase().includes(word));
  const isAbroad = cards.includes('international');
  return (
    words.includes('inperson') === channels.includes('in-person') &&
    words.includes('intl') === isAbroad &&
    words.includes('domestic') === cards.includes('domestic')
  );
}

function isPrice(charge: StatedCharge, type: string, words: readonly string[]): boolean {
  const [first = '', second = '', third = ''] = words;
  const on = charge.on ?? 'orders';
  if (type === 'step') {
    const bands = 'bands' in charge ? charge.bands : [];
    return (
      isQuantity(on, first) &&
      bands.some((band) => (second === 'inf' ? band.upTo === null : isSame(band.upTo, second)) && isSame(band.flat, third))
    );
  }
  if (type === 'pack')
    return charge.how === 'package' && isSame(charge.each, first) && isSame(charge.size, second) && isQuantity(on, third);
  const isTera = /^tb\b/.test(second);
  const each = isTera ? decimal(first).div(1000).toFixed() : first;
  if (charge.how !== 'per-unit' || !isSame(charge.each, each)) return false;
  const free = words.find((word) => word.startsWith('free='))?.slice('free='.length);
  return (
    (isTera || isQuantity(on, second)) && (free === undefined || free === 'none' || isSame(charge.free, free) || charge.free === undefined)
  );
}
