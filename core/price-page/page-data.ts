import { decimal, HUNDRED } from '../amount/decimal';
import type { Statement } from '../price-phrase/statement';
import { countedThing } from './counted-things';
import { feature, readItem } from './list-items';

/** What a page's data states of one plan. */
export interface DataPlan {
  readonly name: string;
  readonly statements: readonly Statement[];
}

export interface PageData {
  readonly vendor: string;
  readonly currency: string | null;
  readonly plans: readonly DataPlan[];
  readonly addons: readonly DataPlan[];
  /** Answers to questions, in the page's words. */
  readonly answers: ReadonlyArray<{ readonly question: string; readonly answer: string }>;
}

type Node = Readonly<Record<string, unknown>>;

const DEEPEST = 14;
const MOST_PLANS = 60;
const NOTHING: PageData = { vendor: '', currency: null, plans: [], addons: [], answers: [] };

/**
 * Reads plans from the JSON in a page's scripts: lists of like objects with a name and a price (page state that the
 * page's own program draws its cards from).
 *
 * @param texts - the scripts' texts; those that hold no such list are passed over
 */
export function readScriptData(texts: readonly string[]): PageData {
  let found = NOTHING;
  for (const text of texts) {
    const root = parsedScript(text);
    if (root === null) continue;
    const read = readState(root);
    if (read.plans.length > found.plans.length) found = read;
  }
  return found;
}

/** The JSON of a script: all of it, or what is assigned in it. */
function parsedScript(text: string): unknown {
  const trimmed = text.trim();
  const start = /^[{[]/.test(trimmed) ? 0 : trimmed.search(/[=(]\s*[{[]/);
  if (start < 0) return null;
  const body = start === 0 ? trimmed : trimmed.slice(start + 1).trimStart();
  const end = Math.max(body.lastIndexOf('}'), body.lastIndexOf(']'));
  try {
    return JSON.parse(body.slice(0, end + 1)) as unknown;
  } catch {
    return null;
  }
}

function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

const NAME_KEYS = ['name', 'title', 'label', 'displayName'];

function nameOf(node: Node): string {
  const key = NAME_KEYS.find((one) => typeof node[one] === 'string' && node[one] !== '');
  return key === undefined ? '' : String(node[key]).replace(/\s+/g, ' ').trim().slice(0, 120);
}

function readState(root: unknown): PageData {
  let [plans, addons] = [[] as readonly Node[], [] as readonly Node[]];
  const answers: Array<{ question: string; answer: string }> = [];
  let currency: string | null = null;
  const visit = (value: unknown, key: string, depth: number): void => {
    if (depth > DEEPEST) return;
    if (Array.isArray(value)) {
      const nodes = value.filter(isNode).slice(0, MOST_PLANS);
      const priced = nodes.filter((node) => nameOf(node) !== '' && amountsOf(node).length > 0);
      if (/add-?ons?|extras?/i.test(key) && priced.length > 0) addons = priced;
      else if (priced.length > plans.length && priced.length >= 2 && priced.length >= nodes.length / 2)
        plans = nodes.filter((node) => nameOf(node) !== '');
      for (const node of nodes) {
        const [question, answer] = [node['q'] ?? node['question'], node['a'] ?? node['answer']];
        if (typeof question === 'string' && typeof answer === 'string') answers.push({ question, answer });
        else visit(node, key, depth + 1);
      }
    } else if (isNode(value))
      for (const [inner, one] of Object.entries(value)) {
        if (/^currency(?:Code)?$/i.test(inner) && typeof one === 'string' && /^[A-Z]{3}$/.test(one)) currency ??= one;
        visit(one, inner, depth + 1);
      }
  };
  visit(root, '', 0);
  const inCents = areCents([...plans, ...addons]);
  const read = (node: Node): DataPlan => ({ name: nameOf(node), statements: statementsOf(node, inCents) });
  return { vendor: '', currency, plans: plans.map(read), addons: addons.map(read), answers };
}

interface FoundAmount {
  readonly months: number;
  readonly amount: number;
  readonly isCents: boolean;
}

/** Amounts of an object by the months they are for: `price.month`, `monthlyPrice`, `annualPriceCents`. */
function amountsOf(node: Node): FoundAmount[] {
  const found: FoundAmount[] = [];
  const add = (key: string, value: unknown) => {
    const amount = typeof value === 'string' ? Number(value) : value;
    if (typeof amount !== 'number' || !Number.isFinite(amount) || amount < 0) return;
    const words = key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
    const isMonthly = /month|mo\b|price|amount/.test(words);
    const months = /year|annual|yr/.test(words) ? 12 : isMonthly && 1;
    if (months !== false && !found.some((one) => one.months === months)) found.push({ months, amount, isCents: /cents|minor/.test(words) });
  };
  for (const [key, value] of Object.entries(node)) {
    if (/price|pricing|prices|amount|cost|monthly|annual|yearly/i.test(key)) {
      if (isNode(value)) for (const [inner, one] of Object.entries(value)) add(`${key} ${inner}`, one);
      else add(key, value);
    }
  }
  return found;
}

/** Amounts are in cents where all are whole and none is below a few units. */
function areCents(nodes: readonly Node[]): boolean {
  const amounts = nodes.flatMap(amountsOf).filter(({ amount }) => amount !== 0);
  if (amounts.some(({ isCents }) => isCents)) return true;
  return (
    amounts.length > 1 &&
    amounts.every(({ amount }) => Number.isInteger(amount) && amount >= 100) &&
    amounts.filter(({ months }) => months === 1).every(({ amount }) => amount % 10 === 0 || amount >= 300)
  );
}

function statementsOf(node: Node, inCents: boolean): Statement[] {
  const price = (amount: number) => (inCents ? decimal(amount).div(HUNDRED) : decimal(amount)).toFixed();
  const terms = amountsOf(node).map(({ months, amount }): Statement => ({ kind: 'term', term: { months, price: price(amount) } }));
  return [...terms, ...detailsOf(node)];
}

/** An entry of a list of features: its words, or an object with its name. */
function namedFeature(entry: unknown): Statement[] {
  if (isNode(entry) && nameOf(entry) !== '' && 'value' in entry) return limitOf(nameOf(entry), counted(entry['value']));
  if (typeof entry === 'string') return /\d|^unlimited\b/i.test(entry) ? countedIn(entry) : [feature(entry, true)];
  return isNode(entry) && nameOf(entry) !== '' ? [feature(nameOf(entry), entry['included'] !== false)] : [];
}

/** "2,500" and "Unlimited" are written as texts. */
function counted(value: unknown): unknown {
  if (typeof value !== 'string') return value;
  if (/^unlimited$/i.test(value.trim())) return 'unlimited';
  const figure = value.replace(/(\d),(?=\d{3}\b)/g, '$1').trim();
  return /^\d+(?:\.\d+)?$/.test(figure) ? Number(figure) : value;
}

/** "2,000 products" in a list of features. */
function countedIn(entry: string): Statement[] {
  const isMoney = /\p{Sc}|%/u.test(entry);
  const { statements } = isMoney ? { statements: [] } : readItem(entry.replace(/(\d),(?=\d{3}\b)/g, '$1'));
  return statements.length > 0 ? [...statements] : [feature(entry, true)];
}

/** A number, or one that is written as a text: "2%", "14 days". */
function numberIn(value: unknown): number | null {
  if (typeof value === 'number') return value;
  const [, written] = typeof value === 'string' ? (/^(\d+(?:\.\d+)?) ?(?:%|days?)?$/.exec(value.trim()) ?? []) : [];
  return written === undefined ? null : Number(written);
}

function detailsOf(node: Node): Statement[] {
  return Object.entries(node).flatMap(([key, value]): Statement[] => {
    const words = key
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .replace(/[_-]/g, ' ')
      .toLowerCase();
    if (isNode(value) && /limits?|quota|allowance|included|usage/.test(words))
      return Object.entries(value).flatMap(([inner, most]) => limitOf(inner, most));
    if (isNode(value) && /fees?|commission|rates?/.test(words)) return Object.entries(value).flatMap(([inner, rate]) => feeOf(inner, rate));
    if (Array.isArray(value) && /features?|highlights|includes|bullets|perks|items|specs|details|limits/.test(words))
      return value.flatMap(namedFeature);
    const figure = numberIn(isNode(value) && /trial|refund|money back/.test(words) ? value['days'] : value);
    if (/trial/.test(words) && figure !== null) return [{ kind: 'trial', days: figure }];
    if (/refund|money back/.test(words) && figure !== null) return [{ kind: 'refund', days: figure }];
    if (/percent|commission|fee/.test(words) && figure !== null) return feeOf(key, figure);
    return /^(?:max|limit|included) /.test(words) ? limitOf(words.replace(/^(?:max|limit|included) /, ''), value) : [];
  });
}

function limitOf(key: string, most: unknown): Statement[] {
  const words = key
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[_-]/g, ' ')
    .toLowerCase()
    .replace(/^max /, '');
  const sized = /^(.*?) (gb|tb|mb)$/.exec(words);
  const thing = countedThing(sized ? `${sized[2] ?? ''} ${sized[1] ?? ''}` : words);
  if (!thing) return [];
  if (most === null || most === -1 || most === 'unlimited') return [{ kind: 'limit', quantity: thing.quantity, most: true }];
  if (typeof most !== 'number') return typeof most === 'boolean' ? [feature(words, most)] : [];
  return [{ kind: 'limit', quantity: thing.quantity, most: decimal(most).times(thing.factor).toFixed() }];
}

function feeOf(key: string, rate: unknown): Statement[] {
  if (typeof rate !== 'number' || !/percent|commission|rate|fee/i.test(key)) return [];
  const isPayment = /card|payment|processing/i.test(key);
  return [
    {
      kind: 'charge',
      charge: {
        label: isPayment ? 'Card fee' : 'Sales fee',
        bucket: isPayment ? 'payment' : 'transaction',
        how: 'per-order',
        percent: decimal(rate).toFixed(),
      },
    },
  ];
}
