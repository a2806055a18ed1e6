import { ZERO, decimal, Decimal } from '../amount/decimal';
import type { Band, Charge, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { FigurePlace } from '../rules/expression/expression';

/** A price that nobody has found out yet, as one figure. */
export interface OpenPrice {
  /** Id of the charge, or of the plan or add-on and its term: `grow term y`. */
  readonly id: string;
  readonly label: string;
  /** From nothing to what seems dear beside what else is asked. */
  readonly usual: readonly [low: number, high: number];
  /** Where that figure stands. */
  readonly places: readonly FigurePlace[];
}

function termPriceId(part: string, term: string): string {
  return `${part} term ${term}`;
}

/** Whether an open price is that of a term of a plan or add-on. */
export function isTermPriceOf(id: string, part: string): boolean {
  return id.startsWith(termPriceId(part, ''));
}

type Sold = { id: string; label: string; currency: string; terms?: Term[] | undefined; charges?: Charge[] | undefined };

/** Prices of candidates' plans, add-ons and processors that are not known, one figure each. */
export function openPrices(file: DecisionFile): OpenPrice[] {
  return soldIn(file)
    .filter(({ part }) => isUsed(file, part.id))
    .flatMap(({ part, owner }) => {
      const terms = (part.terms ?? []).filter((term) => isOpen(term) && isTermUsed(file, part.id, term.id));
      const known = (part.terms ?? []).flatMap(({ price, months }) => (price === null || months === 0 ? [] : [decimal(price).div(months)]));
      const dear = known.length > 0 ? Decimal.max(...known) : ZERO;
      return [
        ...terms.map((term) => ({
          id: termPriceId(part.id, term.id),
          label: `Price of ${owner}`,
          usual: [0, Math.ceil(dear.times(Math.max(term.months, 1)).times(2).toNumber()) || 100] as const,
          places: ['price', 'renewal'].flatMap((field): FigurePlace[] =>
            (field === 'price' ? term.price : term.renewal?.price) === null ? [{ part: part.id, line: 'term', id: term.id, field }] : [],
          ),
        })),
        ...(part.charges ?? []).flatMap((charge) => {
          const open = openFields(charge);
          const [only] = open;
          if (!only || open.length > 1) return [];
          const { field, band } = only;
          const place: FigurePlace =
            band === null
              ? { part: part.id, line: 'charge', id: charge.id, field }
              : { part: part.id, line: 'band', id: `${charge.id} ${band}`, field };
          return [
            { id: charge.id, label: `${charge.label || 'a fee'}, ${owner}`, usual: [0, USUAL_MOST[field] ?? 5] as const, places: [place] },
          ];
        }),
      ];
    });
}

const USUAL_MOST: Readonly<Record<string, number>> = {
  percent: 5,
  each: 1,
  flat: 50,
  least: 2,
  most: 20,
  monthlyMin: 50,
  monthlyCap: 200,
  totalCap: 500,
};

interface OpenField {
  readonly field: string;
  /** Index of the band it stands in; null for the charge itself. */
  readonly band: number | null;
}

const FIELDS = ['percent', 'each', 'least', 'most', 'monthlyMin', 'monthlyCap', 'totalCap'] as const;

/** The amounts of a charge that are not known. */
function openFields(charge: Charge): OpenField[] {
  const own = FIELDS.filter((field) => field in charge && (charge as Partial<Record<string, unknown>>)[field] === null).map((field) => ({
    field,
    band: null,
  }));
  const bands: readonly Band[] = 'bands' in charge ? charge.bands : [];
  const inBands = bands.flatMap((band, index) =>
    (['each', 'percent', 'flat'] as const).filter((field) => band[field] === null).map((field) => ({ field, band: index })),
  );
  return [...own, ...inBands];
}

/** A decision file with an open price filled in. */
export function withPrice(file: DecisionFile, id: string, amount: string): DecisionFile {
  const fill = <Part extends Sold>(part: Part): Part => ({
    ...part,
    ...(part.terms ? { terms: part.terms.map((term) => (termPriceId(part.id, term.id) === id ? termFilled(term, amount) : term)) } : {}),
    ...(part.charges ? { charges: part.charges.map((charge) => (charge.id === id ? filled(charge, amount) : charge)) } : {}),
  });
  return {
    ...file,
    offers: file.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map(fill),
      ...(offer.addons ? { addons: offer.addons.map(fill) } : {}),
    })),
    ...(file.addons ? { addons: file.addons.map(fill) } : {}),
    ...(file.processors ? { processors: file.processors.map(fill) } : {}),
  };
}

function isOpen({ price, renewal }: Term): boolean {
  return price === null || renewal?.price === null;
}

function termFilled(term: Term, amount: string): Term {
  const { price, renewal } = term;
  return { ...term, price: price ?? amount, ...(renewal?.price === null ? { renewal: { ...renewal, price: amount } } : {}) };
}

function filled(charge: Charge, amount: string): Charge {
  const [open] = openFields(charge);
  if (!open) return charge;
  if (open.band === null) return { ...charge, [open.field]: amount };
  return 'bands' in charge
    ? { ...charge, bands: charge.bands.map((band, index) => (index === open.band ? { ...band, [open.field]: amount } : band)) }
    : charge;
}

function soldIn({ offers, addons = [], processors = [] }: DecisionFile): Array<{ part: Sold; owner: string }> {
  return [
    ...offers.flatMap((offer) =>
      [...offer.plans, ...(offer.addons ?? [])].map((part) => ({ part, owner: `${offer.label} ${part.label}`.trim() })),
    ),
    ...[...addons, ...processors].map((part) => ({ part, owner: part.label })),
  ];
}

function isUsed({ candidates }: DecisionFile, id: string): boolean {
  return candidates.some(
    ({ plans, addons = [], payments = 'own' }) =>
      plans.some(({ plan }) => plan === id) ||
      addons.some(({ addon }) => addon === id) ||
      (typeof payments === 'string' ? payments === id : payments.some(({ use }) => use === id)),
  );
}

function isTermUsed({ candidates }: DecisionFile, part: string, term: string): boolean {
  return candidates.some(
    ({ plans, addons = [] }) =>
      plans.some((one) => one.plan === part && one.term === term) || addons.some((one) => one.addon === part && one.term === term),
  );
}
