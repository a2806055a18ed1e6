import type { ComparedBy } from '../decision-file/compared-by';
import { Decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Pricing } from '../pricing/pricing';
import { crossingsOf } from '../scales/break-even';
import { cheapestStretches } from '../scales/cheapest-at';
import { averageMonthlySales } from '../scales/compile';
import type { CompiledCandidate } from '../scales/compiled-candidate';

/** Every break-even of a pair of candidates (decision file §8). */
export interface BreakEven {
  a: string;
  b: string;
  at: Array<{
    /** 4 places. */
    scale: string;
    /** Average sales a month at that scale, without lift, base currency. */
    monthlySales: string;
    cheaperBelow: string;
  }>;
}

/** A stretch of scales with its cheapest candidate; ends have 6 places. */
export interface CheapestAt {
  from: string;
  to: string;
  candidate: string | null;
}

/** The candidates in compiled form, to be compared by what is paid or by what is kept. */
export type CompiledBy = (by: ComparedBy) => readonly CompiledCandidate[];

const DEFAULT_FROM = '0.05';
const DEFAULT_TO = '20';

/** The break-evens that a file asks for, pair by pair; undefined if it asks for none. */
export function breakEvens(pricing: Pricing, compiledBy: CompiledBy): BreakEven[] | undefined {
  const { breakEven, currency } = pricing.file;
  if (!breakEven) return undefined;
  const [from, to] = [Number(breakEven.from ?? DEFAULT_FROM), Number(breakEven.to ?? DEFAULT_TO)];
  const sales = averageMonthlySales(pricing);
  const byId = new Map(compiledBy(breakEven.by ?? 'cost').map((candidate) => [candidate.id, candidate]));
  return breakEven.pairs.map(([a, b]) => {
    const [first, second] = [byId.get(a), byId.get(b)];
    const crossings = first && second ? crossingsOf(first, second, from, to) : [];
    return {
      a,
      b,
      at: crossings.map(({ scale, cheaperBelow }) => ({
        scale: new Decimal(scale).toFixed(4),
        monthlySales: moneyText(roundMoney(sales.times(scale), currency), currency),
        cheaperBelow: cheaperBelow < 0 ? a : b,
      })),
    };
  });
}

/** Who is cheapest at which scale, if the file asks; undefined otherwise. */
export function cheapestAt(pricing: Pricing, compiledBy: CompiledBy): CheapestAt[] | undefined {
  const { cheapestAt: asked } = pricing.file;
  if (!asked) return undefined;
  const stretches = cheapestStretches(compiledBy(asked.by ?? 'cost'), Number(asked.from ?? DEFAULT_FROM), Number(asked.to ?? DEFAULT_TO));
  return stretches.map(({ from, to, candidate }) => ({ from: new Decimal(from).toFixed(6), to: new Decimal(to).toFixed(6), candidate }));
}
