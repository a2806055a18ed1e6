import Papa from 'papaparse';
import { decimal } from '../amount/decimal';
import { readTypedNumber } from '../amount/typed-number';
import { MONTH_PATTERN } from '../calendar/month';
import { ACTUAL_BOUNDS, type ActualFigure } from './actual-figures';
import type { ActualMonth, Actuals } from '../decision/actuals-schema';

/** Real months read from a table, and what could not be read. */
export interface ActualsReading {
  readonly actuals: Actuals;
  /** What is wrong, where, and what is wanted. */
  readonly problems: readonly string[];
}

/** What columns are called; lower case, without signs. */
const NAMES: Readonly<Record<ActualFigure | 'month', readonly string[]>> = {
  month: ['month', 'date', 'day', 'period'],
  orders: ['orders', 'number of orders', 'order count', 'sold'],
  sales: ['sales', 'revenue', 'turnover', 'order value', 'amount', 'total', 'gross sales'],
  fees: ['fees', 'fee', 'sales fees', 'card fees', 'payment fees', 'charges'],
  fixed: ['fixed', 'plan', 'plans', 'subscription', 'plan fees', 'fixed costs'],
  surprises: ['surprises', 'surprise', 'other', 'unexpected'],
};
/** Signs and codes of currencies before or behind a figure. */
const CURRENCY = /^([€$£¥]|[A-Z]{3}\b)\s*|\s*([€$£¥]|\b[A-Z]{3})$/g;
const MOST_LINES = 100_000;
const MOST_PROBLEMS = 20;

/**
 * Reads real sales and bills from CSV: a line a month, or many (they are added up); columns by name, in any order. A
 * list of orders without a column of their number counts each line as an order.
 */
export function readActuals(text: string): ActualsReading {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' });
  const [head, ...lines] = data;
  if (!head || lines.length === 0)
    return { actuals: {}, problems: ['There is no table here. Start with a line of column names, and put the months below it.'] };
  if (lines.length > MOST_LINES) return { actuals: {}, problems: [`There are ${lines.length} lines; at most ${MOST_LINES} are read.`] };
  const plain = head.map((name) =>
    name
      .toLowerCase()
      .replace(/[^a-z ]+/g, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  const column = (what: ActualFigure | 'month') => plain.findIndex((name) => NAMES[what].includes(name));
  const months = column('month');
  const figures = (['orders', 'sales', 'fees', 'fixed', 'surprises'] as const)
    .map((what) => ({ what, at: column(what) }))
    .filter(({ at }) => at >= 0);
  if (months < 0 || figures.length === 0)
    return {
      actuals: {},
      problems: [
        `Use a column “month” and at least one of “orders”, “sales”, “fees”, “plan”, “other”; the table has ${head.map((name) => `“${name}”`).join(', ')}.`,
      ],
    };
  const isListOfOrders =
    figures.every(({ what }) => what !== 'orders') &&
    figures.some(({ what }) => what === 'sales') &&
    lines.some((line) => /^\d{4}-\d{2}-\d{2}/.test(line[months] ?? ''));
  const actuals: Record<string, ActualMonth> = {};
  const problems: string[] = [];
  lines.forEach((line, index) => {
    const where = `Line ${index + 2}`;
    const month = monthIn(line[months] ?? '');
    if (!month) return problems.push(`${where}: “${line[months] ?? ''}” is not a month; use 2027-03 or 2027-03-14.`);
    const own: ActualMonth = { ...actuals[month] };
    for (const { what, at } of figures) {
      const cell = (line[at] ?? '').trim();
      if (cell === '') continue;
      const typed = readTypedNumber(cell.replace(CURRENCY, ''), { wanted: `a number for ${head[at] ?? what}`, ...ACTUAL_BOUNDS[what] });
      if (typed.ok)
        own[what] = decimal(own[what] ?? '0')
          .plus(typed.value)
          .toFixed();
      else problems.push(`${where}: ${typed.problem.startsWith('“') ? '' : `“${cell}” is out of range. `}${typed.problem}`);
    }
    if (isListOfOrders)
      own.orders = decimal(own.orders ?? '0')
        .plus(1)
        .toFixed();
    actuals[month] = own;
  });
  return {
    actuals,
    problems:
      problems.length > MOST_PROBLEMS ? [...problems.slice(0, MOST_PROBLEMS), `and ${problems.length - MOST_PROBLEMS} more.`] : problems,
  };
}

function monthIn(text: string): string | null {
  const month = text.trim().slice(0, 7);
  return MONTH_PATTERN.test(month) && /^\d{4}-\d{2}($|-\d{2})/.test(text.trim()) ? month : null;
}
