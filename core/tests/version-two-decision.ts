import fc from 'fast-check';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge, Plan, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { money } from './random-decision';
import { richDecision } from './rich-decision';

const maybe = <Value>(arbitrary: fc.Arbitrary<Value>) => fc.option(arbitrary, { nil: undefined });

/** Months around the horizon of the decisions, which begins in February 2027. */
const month = fc.constantFrom('2026-12', '2027-01', '2027-02', '2027-03', '2027-05', '2027-09', '2028-02', '2029-01');
const sortedMonths = fc.uniqueArray(month, { minLength: 1, maxLength: 3 }).map((months) => months.sort());

const sizes = fc.constantFrom<Array<{ share: string; times: string }>>(
  [
    { share: '50', times: '0.4' },
    { share: '30', times: '1' },
    { share: '20', times: '3' },
  ],
  [
    { share: '99', times: '1' },
    { share: '1', times: '40' },
  ],
  [{ share: '100', times: '7' }],
);

const termFields = fc.record({
  until: maybe(month),
  changes: maybe(
    sortedMonths.chain((months) => fc.tuple(...months.map((from) => fc.record({ from: fc.constant(from), price: money(60) })))),
  ),
  renewal: maybe(fc.record({ months: fc.constantFrom(1, 2, 12), price: fc.oneof({ weight: 9, arbitrary: money(80) }, fc.constant(null)) })),
});

function laterTerm(
  term: Term,
  { until, changes, renewal }: Partial<{ until: string; changes: Term['changes']; renewal: Term['renewal'] }>,
): Term {
  const intro = term.intro && until !== undefined ? { intro: { ...term.intro, until } } : {};
  if (term.months === 0) return { ...term, ...intro };
  return { ...term, ...intro, ...(changes ? { changes } : {}), ...(renewal ? { renewal } : {}) };
}

const chargeFields = fc.record({
  dates: maybe(fc.tuple(maybe(month), maybe(month))),
  against: fc.integer({ min: 0, max: 3 }),
});

/** A charge as packs bought ahead: of whatever it counted. */
function asPrepaid({ id, label, bucket, on, only, of, monthlyMin, monthlyCap, totalCap, credit, taxExcluded }: Charge): Charge {
  const kept = { bucket, on, only, of, monthlyMin, monthlyCap, totalCap, credit, taxExcluded };
  const stated = Object.fromEntries(Object.entries(kept).filter(([, value]) => value !== undefined));
  return { ...stated, id, label, how: 'prepaid', size: '37.5', each: '11', ...(on === undefined ? {} : { opening: '50' }) };
}

function laterCharge(
  whole: Charge,
  { dates, against }: { dates?: [string?, string?] | undefined; against: number },
  isPlan: boolean,
): Charge {
  const charge = against === 1 ? asPrepaid(whole) : whole;
  const [first, second] = dates ?? [];
  const [from, until] = first && second && first > second ? [second, first] : [first, second];
  const dated = { ...charge, ...(from ? { from } : {}), ...(until ? { until } : {}) };
  return isPlan && against === 0 ? { ...dated, credit: true, against: 'plan' } : dated;
}

type Extended = Parameters<typeof laterTerm>[1] & {
  yearly?: Record<string, string> | undefined;
  charges: ReadonlyArray<Parameters<typeof laterCharge>[1]>;
};

function laterPlan(plan: Plan, { yearly, charges, ...term }: Extended): Plan {
  return {
    ...plan,
    terms: plan.terms.map((one) => laterTerm(one, term)),
    charges: (plan.charges ?? []).map((one, index) => laterCharge(one, charges[index] ?? { against: 2 }, true)),
    ...(yearly ? { yearlyLimits: yearly } : {}),
  };
}

const planFields = fc
  .tuple(
    termFields,
    maybe(fc.record({ orders: money(2000), sales: money(90_000), visits: money(60_000) })),
    fc.tuple(chargeFields, chargeFields, chargeFields),
  )
  .map(([term, yearly, charges]): Extended => ({ ...term, yearly, charges }));

const splits = fc.constantFrom<Array<[string[] | undefined, string[] | undefined]>[number]>(
  [undefined, undefined],
  [['goods'], ['plans', 'club']],
  [['goods', 'club'], ['plans']],
  [undefined, ['club']],
);

const candidateFields = fc.record({
  extraMonths: maybe(fc.constantFrom(1, 3)),
  split: splits,
  takes: fc.constantFrom<[boolean | undefined, boolean | undefined]>(
    [undefined, undefined],
    [true, false],
    [false, undefined],
    [false, false],
  ),
  lift: maybe(
    fc.constantFrom<{ percent: string; streams: string[] }[]>(
      { percent: '12', streams: ['goods'] },
      { percent: '-20', streams: ['club', 'plans'] },
      { percent: '5', streams: [] },
    ),
  ),
});

function laterCandidate(
  candidate: Candidate,
  fields: typeof candidateFields extends fc.Arbitrary<infer Fields> ? Fields : never,
): Candidate {
  const { extraMonths, split, takes, lift } = fields;
  const isPair = candidate.plans.length === 2;
  return {
    ...candidate,
    plans: candidate.plans.map((entry, index) => {
      const streams = isPair ? split[index] : undefined;
      const takesPayments = takes[index];
      return {
        ...entry,
        ...(extraMonths === undefined ? {} : { extraMonths }),
        ...(streams ? { streams } : {}),
        ...(takesPayments === undefined ? {} : { takesPayments }),
      };
    }),
    ...(lift ? { lift } : {}),
  };
}

/** Decision files of version 2, every one of whose fields comes and goes by itself. */
export const versionTwoDecision: fc.Arbitrary<DecisionFile> = fc
  .record({
    file: richDecision,
    sizes: maybe(sizes),
    plans: fc.tuple(planFields, planFields),
    charges: fc.tuple(chargeFields, chargeFields, chargeFields),
    needed: maybe(month),
    candidates: fc.tuple(candidateFields, candidateFields, candidateFields),
  })
  .map(({ file, sizes: orderSizes, plans, charges: [labels, ty, zo], needed, candidates }) => ({
    ...file,
    version: 2 as const,
    forecast: {
      ...file.forecast,
      streams: file.forecast.streams.map((stream) => (orderSizes && stream.id !== 'plans' ? { ...stream, orderSizes } : stream)),
    },
    needs: (file.needs ?? []).map((need, index) => (needed && index < 2 ? { ...need, from: needed } : need)),
    offers: file.offers.map((offer, index) => ({ ...offer, plans: offer.plans.map((plan) => laterPlan(plan, plans[index] ?? plans[0])) })),
    addons: (file.addons ?? []).map((addon) => ({
      ...addon,
      ...(addon.charges ? { charges: addon.charges.map((one) => laterCharge(one, labels, false)) } : {}),
    })),
    processors: (file.processors ?? []).map((one, index) => ({
      ...one,
      charges: (one.charges ?? []).map((charge) => laterCharge(charge, index === 0 ? ty : zo, false)),
    })),
    candidates: file.candidates.map((candidate, index) => laterCandidate(candidate, candidates[index] ?? candidates[0])),
  }));
