import { Decimal } from '../amount/decimal';
import type { Candidate, Lift } from './candidate-schema';
import { type Checker, checker } from '../fields/checker';
import type { Forecast } from './forecast-schema';
import { checkTerm } from '../rules/terms/term';
import { checkCharge, type Countable } from '../rules/charges/charge-rule';
import type { Addon, Charge, SharedAddon, Term } from './price-sheet-schema';
import type { Problem } from '../fields/problems';
import type { DecisionFile } from './schema';

/** Names that quantities have by themselves; no driver may take the first two. */
const RESERVED_QUANTITIES = ['orders', 'sales'];

/**
 * What a schema cannot say: identifiers that exist and are unique, currencies with a rate, shares that add up
 * to 100, bands in order (decision file, Conventions).
 */
export function referenceProblems(file: DecisionFile): Problem[] {
  const check = checker(file);
  checkCurrencies(file, check);
  checkForecast(file.forecast, check);
  checkPriceSheets(file, check);
  const sold = soldIn(file);
  const streams = new Set(file.forecast.streams.map(({ id }) => id));
  file.candidates.forEach((candidate, index) => {
    checkCandidate(sold, candidate, ['candidates', index], check);
    checkStreams(streams, candidate, ['candidates', index], check);
  });
  file.offers.forEach(({ lift }, index) => checkLift(streams, lift, ['offers', index], check));
  check.unique(file.candidates.map((candidate, index) => [candidate.id, ['candidates', index, 'id']]));
  checkQuestions(file, check);
  return check.problems;
}

function checkCurrencies(file: DecisionFile, check: Checker): void {
  const has = (code: string) => code === file.currency || Object.hasOwn(file.rates ?? {}, code);
  const wanted = (code: string) => `use a rate for ${code} in rates, or another currency`;
  const need = (code: string | undefined, path: PropertyKey[]) => {
    if (code !== undefined && !has(code)) check.problem(path, wanted(code));
  };
  if (file.rates && Object.hasOwn(file.rates, file.currency) && !new Decimal(file.rates[file.currency] ?? 1).eq(1))
    check.problem(['rates', file.currency], 'the base currency is worth 1 of itself');
  file.offers.forEach((offer, o) => {
    offer.plans.forEach((plan, p) => need(plan.currency, ['offers', o, 'plans', p, 'currency']));
    offer.addons?.forEach((addon, a) => need(addon.currency, ['offers', o, 'addons', a, 'currency']));
    offer.extras?.forEach((extra, e) => need(extra.currency, ['offers', o, 'extras', e, 'currency']));
  });
  file.addons?.forEach((addon, a) => need(addon.currency, ['addons', a, 'currency']));
  file.processors?.forEach((processor, p) => need(processor.currency, ['processors', p, 'currency']));
  file.candidates.forEach((candidate, c) =>
    candidate.extras?.forEach((extra, e) => need(extra.currency, ['candidates', c, 'extras', e, 'currency'])),
  );
}

function checkForecast(forecast: Forecast, check: Checker): void {
  const streamIds = new Set(forecast.streams.map((stream) => stream.id));
  check.unique(forecast.streams.map((stream, index) => [stream.id, ['forecast', 'streams', index, 'id']]));
  forecast.streams.forEach((stream, index) => {
    const path = ['forecast', 'streams', index];
    const subscription = stream.kind === 'subscription';
    if (subscription && !stream.subscribers) check.problem([...path, 'subscribers'], 'add subscribers');
    if (subscription && stream.orders !== undefined) check.problem([...path, 'orders'], 'a subscription has subscribers instead of orders');
    if (!subscription && stream.orders === undefined) check.problem([...path, 'orders'], 'add orders');
    if (!subscription && stream.subscribers) check.problem([...path, 'subscribers'], 'only a subscription has subscribers');
    if (stream.cards && !sharesAddUp(Object.values(stream.cards))) check.problem([...path, 'cards'], 'use shares that add up to 100');
    if (stream.orderSizes && !sharesAddUp(stream.orderSizes.map((size) => size.share)))
      check.problem([...path, 'orderSizes'], 'use shares that add up to 100');
  });
  const drivers = forecast.drivers ?? {};
  for (const [id, driver] of Object.entries(drivers)) {
    const path = ['forecast', 'drivers', id];
    if (RESERVED_QUANTITIES.includes(id)) check.problem(path, 'use another name: this quantity exists by itself');
    if (typeof driver !== 'object' || !('per' in driver)) continue;
    const other = Object.hasOwn(drivers, driver.per) ? drivers[driver.per] : undefined;
    const isSeries = other !== undefined && (typeof other === 'string' || !('per' in other));
    const builtIn = RESERVED_QUANTITIES.includes(driver.per) || (driver.per === 'subscribers' && other === undefined);
    if (!builtIn && !isSeries) check.problem([...path, 'per'], 'use orders, sales, subscribers or a quantity that is a series');
    if (driver.streams && !builtIn) check.problem([...path, 'streams'], 'only orders, sales and subscribers have streams');
    driver.streams?.forEach((id, index) => check.exists(id, streamIds, [...path, 'streams', index], 'stream'));
  }
}

function sharesAddUp(shares: string[]): boolean {
  return Decimal.sum(0, ...shares).eq(100);
}

function checkPriceSheets(file: DecisionFile, check: Checker): void {
  const plans: Array<[string, PropertyKey[]]> = [];
  const addons: Array<[string, PropertyKey[]]> = [];
  const charges: Array<[string, PropertyKey[]]> = [];
  const countable = countableIn(file.forecast);
  const collect = (list: Charge[] | undefined, path: PropertyKey[], isPlan = false) =>
    list?.forEach((charge, index) => {
      const at = [...path, 'charges', index];
      charges.push([charge.id, [...at, 'id']]);
      checkCharge(countable, charge, at, check);
      if (charge.against !== undefined && !isPlan)
        check.problem([...at, 'against'], 'only a plan’s own charge can be used up by its payments');
    });
  const collectAddon = (addon: Addon | SharedAddon, path: PropertyKey[]) => {
    addons.push([addon.id, [...path, 'id']]);
    checkTerms(addon.terms ?? [], path, check);
    collect(addon.charges, path);
  };
  file.offers.forEach((offer, o) => {
    offer.plans.forEach((plan, p) => {
      const path = ['offers', o, 'plans', p];
      plans.push([plan.id, [...path, 'id']]);
      checkTerms(plan.terms, path, check);
      collect(plan.charges, path, true);
    });
    offer.addons?.forEach((addon, a) => collectAddon(addon, ['offers', o, 'addons', a]));
  });
  const offerIds = file.offers.map((offer) => offer.id);
  const known = new Set(offerIds);
  file.addons?.forEach((addon, a) => {
    collectAddon(addon, ['addons', a]);
    addon.worksWith?.forEach((id, index) => check.exists(id, known, ['addons', a, 'worksWith', index], 'offer'));
  });
  file.processors?.forEach((processor, p) => {
    collect(processor.charges, ['processors', p]);
    if (processor.id === 'own') check.problem(['processors', p, 'id'], '"own" means the platform itself; use another id');
  });
  check.unique(offerIds.map((id, index) => [id, ['offers', index, 'id']]));
  check.unique((file.processors ?? []).map((processor, index) => [processor.id, ['processors', index, 'id']]));
  for (const kind of [plans, addons, charges]) check.unique(kind);
}

function checkTerms(terms: Term[], path: PropertyKey[], check: Checker): void {
  check.unique(terms.map((term, index) => [term.id, [...path, 'terms', index, 'id']]));
  terms.forEach((term, index) => checkTerm(term, [...path, 'terms', index], check));
}

/** What a candidate can be put together from. */
interface Sold {
  /** Each plan with its terms and the offer it belongs to. */
  readonly plans: ReadonlyMap<string, { offer: string; terms: ReadonlySet<string> }>;
  /** Each add-on with its terms and the offers it works with (absent = all). */
  readonly addons: ReadonlyMap<string, { terms: ReadonlySet<string>; worksWith: readonly string[] | undefined }>;
  readonly planIds: ReadonlySet<string>;
  readonly addonIds: ReadonlySet<string>;
  readonly processors: ReadonlySet<string>;
}

function soldIn(file: DecisionFile): Sold {
  const termIds = (terms: Term[] | undefined) => new Set((terms ?? []).map(({ id }) => id));
  const plans = new Map<string, { offer: string; terms: Set<string> }>();
  const addons = new Map<string, { terms: Set<string>; worksWith: readonly string[] | undefined }>();
  for (const offer of file.offers) {
    for (const plan of offer.plans) plans.set(plan.id, { offer: offer.id, terms: termIds(plan.terms) });
    for (const addon of offer.addons ?? []) addons.set(addon.id, { terms: termIds(addon.terms), worksWith: [offer.id] });
  }
  for (const addon of file.addons ?? []) addons.set(addon.id, { terms: termIds(addon.terms), worksWith: addon.worksWith });
  const processors = new Set(['own', ...(file.processors ?? []).map(({ id }) => id)]);
  return { plans, addons, planIds: new Set(plans.keys()), addonIds: new Set(addons.keys()), processors };
}

function checkCandidate(sold: Sold, candidate: Candidate, path: PropertyKey[], check: Checker): void {
  const offersUsed = new Set<string>();
  candidate.plans.forEach((used, index) => {
    const found = sold.plans.get(used.plan);
    const at = [...path, 'plans', index];
    if (!found) return check.exists(used.plan, sold.planIds, [...at, 'plan'], 'plan');
    offersUsed.add(found.offer);
    check.exists(used.term, found.terms, [...at, 'term'], 'term of this plan');
  });
  candidate.addons?.forEach((used, index) => {
    const found = sold.addons.get(used.addon);
    const at = [...path, 'addons', index];
    if (!found) return check.exists(used.addon, sold.addonIds, [...at, 'addon'], 'add-on');
    if (used.term === undefined && found.terms.size > 0) check.problem([...at, 'term'], 'use a term of this add-on');
    if (used.term !== undefined) check.exists(used.term, found.terms, [...at, 'term'], 'term of this add-on');
    if (found.worksWith && !found.worksWith.some((id) => offersUsed.has(id)))
      check.problem([...at, 'addon'], 'use an add-on that works with a plan of this candidate');
  });
  checkPayments(sold, candidate, path, check);
}

/** Streams that a candidate's plans share among them exist, and each stream is handled by some plan (decision file §5). */
function checkStreams(streams: ReadonlySet<string>, { plans, lift }: Candidate, path: PropertyKey[], check: Checker): void {
  plans.forEach((entry, index) =>
    entry.streams?.forEach((id, place) => check.exists(id, streams, [...path, 'plans', index, 'streams', place], 'stream')),
  );
  const handled = new Set(plans.flatMap((entry) => entry.streams ?? [...streams]));
  for (const id of streams) if (!handled.has(id)) check.problem([...path, 'plans'], `use a plan that handles the stream ${id}`);
  checkLift(streams, lift, path, check);
}

function checkLift(streams: ReadonlySet<string>, lift: Lift | undefined, path: PropertyKey[], check: Checker): void {
  if (typeof lift !== 'object') return;
  lift.streams.forEach((id, index) => check.exists(id, streams, [...path, 'lift', 'streams', index], 'stream'));
}

function checkPayments({ processors }: Sold, { payments }: Candidate, path: PropertyKey[], check: Checker): void {
  if (payments === undefined) return;
  const at = [...path, 'payments'];
  if (typeof payments === 'string') return check.exists(payments, processors, at, 'processor');
  payments.forEach((rule, index) => {
    check.exists(rule.use, processors, [...at, index, 'use'], 'processor');
    const last = index === payments.length - 1;
    if (last && (rule.channels || rule.cards)) check.problem([...at, index], 'the last rule has no conditions');
  });
}

function checkQuestions(file: DecisionFile, check: Checker): void {
  const candidates = new Set(file.candidates.map((candidate) => candidate.id));
  file.breakEven?.pairs.forEach((pair, index) =>
    pair.forEach((id, side) => check.exists(id, candidates, ['breakEven', 'pairs', index, side], 'candidate')),
  );
  file.route?.candidates.forEach((id, index) => check.exists(id, candidates, ['route', 'candidates', index], 'candidate'));
  const offers = new Set(file.offers.map(({ id }) => id));
  file.propose?.offers?.forEach((id, index) => check.exists(id, offers, ['propose', 'offers', index], 'offer'));
  const processors = new Set(['own', ...(file.processors ?? []).map(({ id }) => id)]);
  file.propose?.payments?.forEach((id, index) => check.exists(id, processors, ['propose', 'payments', index], 'processor'));
  check.unique((file.route?.candidates ?? []).map((id, index) => [id, ['route', 'candidates', index]]));
  for (const question of ['breakEven', 'cheapestAt'] as const) {
    const asked = file[question];
    if (asked && new Decimal(asked.from ?? '0.05').gte(asked.to ?? '20')) check.problem([question, 'to'], 'use a scale above from');
  }
}

/** The quantities and streams of a forecast. */
export function countableIn({ drivers, streams }: Forecast): Countable {
  return {
    quantities: new Set(['orders', 'sales', 'subscribers', ...Object.keys(drivers ?? {})]),
    streams: new Set(streams.map(({ id }) => id)),
  };
}
