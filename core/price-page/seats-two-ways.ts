import { decimal } from '../amount/decimal';
import type { PlainLine } from './plain-line';
import { isPriceOfSeats } from './price-pieces';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { unitChargeIn } from './unit-charges';

/** "billed yearly, or ¤25 monthly" below "¤15 per seat/month". */
const OR_BY_THE_MONTH =
  /^(?:(?:when )?(?:billed|paid) (?:yearly|annually|by the year)\b[,;.]?\s*)?or (¤\d+(?:\.\d+)?)(?: (?:each|per \p{L}+))?,? (?:monthly|month[- ](?:to|by)[- ]month|(?:a|per) month|when (?:billed|paid) monthly|(?:billed|paid) monthly|by the month)$/iu;

const OF_EACH = /(?:\/|per|a) ?(?:active |paid |named )?(\p{L}+)/iu;

/**
 * A price for each seat, and another for whoever pays by the month: a plan has one price for each, so it is asked which will
 * be paid.
 *
 * @returns the lines that are asked about, empty where no card line says both
 */
export function askSeatsTwoWays(lines: readonly PlainLine[], plan: PlanBeingRead, builder: ReadingBuilder): readonly PlainLine[] {
  const at = lines.findIndex(({ plain }) => isPriceOfSeats(plain));
  const [own, below] = [lines[at], lines[at + 1]];
  const [, monthly] = OR_BY_THE_MONTH.exec(below?.plain ?? '') ?? [];
  if (!own || !below || monthly === undefined) return [];
  const yearly = unitChargeIn(own.plain);
  const byMonth = unitChargeIn(own.plain.replace(/¤\d+(?:\.\d+)?/, monthly));
  if (!yearly || !byMonth) return [];
  // What a month costs is more, or it is not understood.
  if (decimal(monthly.slice(1)).lte(/\d+(?:\.\d+)?/.exec(own.plain)?.[0] ?? 0)) {
    builder.leaveOpen(own.line);
    builder.leaveOpen(below.line);
    return [own, below];
  }
  const seat = OF_EACH.exec(own.plain)?.[1]?.toLowerCase() ?? 'seat';
  // Where everybody who uses it is paid for, nothing is paid for the plan itself; until it is answered its price is not known.
  const itself = { plan: plan.name, statement: { kind: 'term', term: { months: 1, price: '0' } } } as const;
  builder.ask(
    `Each ${seat} costs less when a year is paid at once. How will you pay?`,
    [own.line, below.line],
    [plan.name],
    [
      { label: 'by the year', statements: [{ plan: plan.name, statement: yearly }, itself] },
      { label: 'by the month', statements: [{ plan: plan.name, statement: byMonth }, itself] },
    ],
  );
  return [own, below];
}
