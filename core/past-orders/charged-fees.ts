import { moneyText, roundMoney } from '../amount/currencies';
import { type Decimal, decimal } from '../amount/decimal';
import { dayCounted } from '../calendar/counted-day';
import type { DecisionFile } from '../decision-file/schema';
import { feeOfOrder } from '../replay/order-differences';
import type { PastOrders } from '../replay/past-orders';
import { replayPricing } from '../replay/replay';
import { replayedWorld } from '../replay/replayed-world';
import { matchPayments } from './match-payments';
import type { Payment } from './read-payouts';
import { AMOUNT_DIGITS } from './written-amount';

/** What was charged for payments of a kind, beside what the price sheet says; amounts in base currency. */
export interface ChargedFees {
  /** Kind of card or wallet; empty for all together. */
  readonly kind: string;
  readonly payments: number;
  readonly gross: string;
  readonly charged: string;
  readonly bySheet: string;
  /** Percent of what was paid, two decimals. */
  readonly chargedPercent: string;
  readonly bySheetPercent: string;
}

/** What a list of payments says about a candidate's card fees. */
export interface FeesCompared {
  /** Of payments whose order is known. */
  readonly all: ChargedFees;
  /** Of payments for a single order. */
  readonly kinds: readonly ChargedFees[];
  /** Payments for which no order of that day and amount was found. */
  readonly unmatched: number;
}

/** What was charged in each month, `YYYY-MM`, to the minor unit. */
export function chargedByMonth(payments: readonly Payment[], currency: string): Record<string, string> {
  const months = new Map<string, number>();
  for (const { day, fee } of payments) {
    const month = dayCounted(day).slice(0, 7);
    months.set(month, (months.get(month) ?? 0) + fee);
  }
  return Object.fromEntries(
    [...months].sort(([a], [b]) => a.localeCompare(b)).map(([month, fee]) => [month, money(inUnits(fee), currency)]),
  );
}

/**
 * What whoever took the payments kept of them, beside what a candidate's card fees come to for the same orders.
 *
 * @param candidate - id; its card fees are set beside
 * @returns null where the candidate is not in the file
 */
export function feesCompared(file: DecisionFile, orders: PastOrders, payments: readonly Payment[], candidate: string): FeesCompared | null {
  const world = replayedWorld(file, orders);
  const pricing = replayPricing(file, world);
  const chosen = pricing.file.candidates.find(({ id }) => id === candidate);
  if (!chosen) return null;
  const bySheet = feeOfOrder(pricing, world, chosen, ({ bucket }) => bucket === 'payment');
  const matched = matchPayments(payments, orders);
  const sums = new Map<string, Sums>();
  for (const { payment, orders: paid } of matched) {
    const byRule = paid.reduce((sum, at) => sum + bySheet(at), 0);
    // What was kept of a payout is not told apart by kinds.
    const [only] = paid.length === 1 ? paid : [];
    for (const kind of only === undefined ? [''] : ['', orders.kinds[orders.kind[only] ?? 0] ?? '']) {
      const { payments: count, gross, charged, bySheet: expected } = sums.get(kind) ?? NONE;
      sums.set(kind, {
        payments: count + 1,
        gross: gross + payment.gross,
        charged: charged + payment.fee,
        bySheet: expected + byRule,
      });
    }
  }
  return {
    all: told('', sums.get('') ?? NONE, file.currency),
    kinds: [...sums].filter(([kind]) => kind !== '').map(([kind, sum]) => told(kind, sum, file.currency)),
    unmatched: payments.length - matched.length,
  };
}

interface Sums {
  readonly payments: number;
  /** In ten-thousandths. */
  readonly gross: number;
  readonly charged: number;
  /** In base currency. */
  readonly bySheet: number;
}

const NONE: Sums = { payments: 0, gross: 0, charged: 0, bySheet: 0 };
const inUnits = (amount: number) => decimal(amount).div(decimal(10).pow(AMOUNT_DIGITS));
const money = (amount: Decimal, currency: string) => moneyText(roundMoney(amount, currency), currency);

function told(kind: string, sums: Sums, currency: string): ChargedFees {
  const [gross, charged, bySheet] = [inUnits(sums.gross), inUnits(sums.charged), decimal(sums.bySheet)];
  const percent = (fee: Decimal) => (gross.isZero() ? '0' : fee.times(100).div(gross).toFixed(2));
  return {
    kind,
    payments: sums.payments,
    gross: money(gross, currency),
    charged: money(charged, currency),
    bySheet: money(bySheet, currency),
    chargedPercent: percent(charged),
    bySheetPercent: percent(bySheet),
  };
}
