import type { Candidate } from '../decision-file/candidate-schema';
import type { Series, Stream } from '../decision-file/forecast-schema';
import type { Allowance, Charge, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import {
  add,
  ceiling,
  compare,
  larger,
  minus,
  one,
  over,
  power,
  type Rational,
  rational,
  rounded,
  smaller,
  times,
  total,
  written,
  zero,
} from './rational';

/**
 * The rules of the decision file written down a second time, straight from the text, slowly and with fractions:
 * nothing here is shared with the code under test but the types of the file.
 */
export function oracle(file: DecisionFile): Record<string, Record<string, unknown>> {
  return Object.fromEntries(file.candidates.map((candidate) => [candidate.id, resultOf(file, candidate)]));
}

const DIGITS: Record<string, number> = { EUR: 2, USD: 2, JPY: 0, KWD: 3 };
const percent = (text: string | null | undefined) => over(rational(text ?? '0'), rational(100));
const money = (value: Rational, currency: string) => rounded(value, DIGITS[currency] ?? 2);

interface Line {
  month: number;
  bucket: string;
  amount: Rational;
  taxed: boolean;
}

interface StreamMonths {
  stream: Stream;
  orders: Rational[];
  value: Rational[];
  net: Rational[];
}

interface World {
  file: DecisionFile;
  streams: StreamMonths[];
  /** Of some streams alone where it is orders, sales or subscribers. */
  quantity(name: string, month: number, streams?: string[]): Rational | null;
}

function monthOf(file: DecisionFile, month: number): string {
  const [year = 0, ordinal = 0] = file.start.split('-').map(Number);
  const all = year * 12 + ordinal - 1 + month;
  return `${Math.floor(all / 12)}-${String((all % 12) + 1).padStart(2, '0')}`;
}

function seriesAt(file: DecisionFile, series: Series, month: number): Rational {
  if (typeof series === 'string') return rational(series);
  const name = monthOf(file, month);
  const set = series.set?.[name];
  if (set !== undefined) return rational(set);
  const grown = times(rational(series.start), power(add(one, percent(series.growth)), month));
  const trend = add(grown, times(rational(series.add ?? '0'), rational(month)));
  return larger(times(trend, rational(series.season?.[Number(name.slice(5)) - 1] ?? '1')), zero);
}

function worldOf(file: DecisionFile, candidate: Candidate): World {
  const liftOf = (stream: Stream) => {
    const { lift } = candidate;
    if (typeof lift !== 'object') return add(one, percent(lift));
    return lift.streams.includes(stream.id) ? add(one, percent(lift.percent)) : one;
  };
  const months = Array.from({ length: file.months }, (_, month) => month);
  const subscribers = new Map<string, Rational[]>();
  const streams = file.forecast.streams.map<StreamMonths>((stream) => {
    const lift = liftOf(stream);
    let count = rational(stream.subscribers?.start ?? '0');
    const orders = months.map((month) => {
      if (!stream.subscribers) return times(seriesAt(file, stream.orders ?? '0', month), lift);
      if (month > 0)
        count = add(times(count, minus(one, percent(stream.subscribers.churn))), seriesAt(file, stream.subscribers.joins, month));
      subscribers.set(stream.id, [...(subscribers.get(stream.id) ?? []), times(count, lift)]);
      return over(times(count, lift), rational(stream.subscribers.every ?? 1));
    });
    const value = months.map((month) => seriesAt(file, stream.orderValue, month));
    return { stream, orders, value, net: value.map((one_) => over(one_, add(one, percent(stream.salesTax)))) };
  });
  const drivers = file.forecast.drivers ?? {};
  const among = (ids: string[] | undefined) => streams.filter(({ stream }) => !ids || ids.includes(stream.id));
  const quantity = (name: string, month: number, ids?: string[]): Rational | null => {
    if (name === 'orders') return total(among(ids).map(({ orders }) => orders[month] ?? zero));
    if (name === 'sales') return total(among(ids).map(({ orders, value }) => times(orders[month] ?? zero, value[month] ?? zero)));
    const driver = drivers[name];
    if (driver === undefined)
      return name === 'subscribers' ? total(among(ids).map(({ stream }) => subscribers.get(stream.id)?.[month] ?? zero)) : null;
    if (typeof driver === 'object' && 'per' in driver)
      return times(rational(driver.ratio), quantity(driver.per, month, driver.streams) ?? zero);
    return seriesAt(file, driver, month);
  };
  return { file, streams, quantity };
}

function processorFor(candidate: Candidate, channel: string, card: string): string {
  const { payments = 'own' } = candidate;
  if (typeof payments === 'string') return payments;
  return (
    payments.find((rule) => (!rule.channels || rule.channels.includes(channel)) && (!rule.cards || rule.cards.includes(card)))?.use ?? 'own'
  );
}

interface Owned {
  charge: Charge;
  currency: string;
  taxed: boolean;
  processor: string | null;
  /** Of a plan: its place, the streams it handles, and whether it takes payments. */
  plan: { place: number; streams: string[] | undefined; takesPayments: boolean } | null;
}

/** Whether an order of a stream paid with a card counts. */
function counts(candidate: Candidate, { charge, processor, plan }: Owned, stream: Stream, card: string): boolean {
  const { only = {} } = charge;
  const channel = stream.channel ?? 'own-site';
  const by = processorFor(candidate, channel, card);
  if (only.streams && !only.streams.includes(stream.id)) return false;
  if (only.kinds && !only.kinds.includes(stream.kind)) return false;
  if (only.channels && !only.channels.includes(channel)) return false;
  if (only.cards && !only.cards.includes(card)) return false;
  if (plan?.streams && !plan.streams.includes(stream.id)) return false;
  const isOwn = by === 'own' && plan?.takesPayments !== false;
  if (only.payments && isOwn !== (only.payments === 'own')) return false;
  return processor === null || processor === by;
}

function ownedCharges(file: DecisionFile, candidate: Candidate): Owned[] {
  type Sheet = { id: string; charges?: Charge[] | undefined; currency: string; taxExcluded?: boolean | undefined };
  const plans = file.offers.flatMap((offer) => offer.plans);
  const addons = [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])];
  const named =
    typeof candidate.payments === 'string' || !candidate.payments
      ? [candidate.payments ?? 'own']
      : candidate.payments.map(({ use }) => use);
  const owned = (sheet: Sheet | undefined, processor: string | null, plan: Owned['plan']): Owned[] =>
    (sheet?.charges ?? []).map((charge) => {
      const taxed = charge.taxExcluded ?? sheet?.taxExcluded ?? false;
      return { charge, currency: sheet?.currency ?? file.currency, taxed, processor, plan };
    });
  const all = [
    ...candidate.plans.flatMap((used, place) =>
      owned(
        plans.find(({ id }) => id === used.plan),
        null,
        { place, streams: used.streams, takesPayments: used.takesPayments ?? true },
      ),
    ),
    ...(candidate.addons ?? []).flatMap((used) =>
      owned(
        addons.find(({ id }) => id === used.addon),
        null,
        null,
      ),
    ),
    ...[...new Set(named)].flatMap((use) =>
      owned(
        (file.processors ?? []).find(({ id }) => id === use),
        use,
        null,
      ),
    ),
  ];
  return all.filter(({ charge, plan }) => {
    const kind = charge.only?.payments;
    if (plan?.takesPayments === false) return charge.bucket !== 'payment' && kind !== 'own';
    return kind === undefined || named.some((name) => (name === 'own') === (kind === 'own'));
  });
}

/** Whether a dated charge exists in a month of the horizon. */
function exists(file: DecisionFile, { from, until }: Charge, month: number): boolean {
  const name = monthOf(file, month);
  return (!from || name >= from) && (!until || name <= until);
}

const hasNull = (value: unknown): boolean =>
  value === null ||
  (typeof value === 'object' &&
    Object.entries(value).some(([key, inner]) => !['upTo', 'id', 'label', 'only'].includes(key) && hasNull(inner)));

function chargeMonths(world: World, candidate: Candidate, owned: Owned, rate: Rational): { amounts: Rational[]; quantities: Rational[] } {
  const { charge } = owned;
  const on = charge.on ?? 'orders';
  let left = charge.totalCap == null ? null : rational(charge.totalCap);
  const quantities: Rational[] = [];
  let counted = zero;
  let bought = zero;
  const amounts = Array.from({ length: world.file.months }, (_, month) => {
    if (!exists(world.file, charge, month)) {
      quantities.push(zero);
      return zero;
    }
    const parts = world.streams.map(({ stream, orders, value, net }) => {
      const share = total(
        Object.entries(stream.cards ?? { domestic: '100' }).map(([card, part]) =>
          counts(candidate, owned, stream, card) ? percent(part) : zero,
        ),
      );
      return { stream, orders: times(orders[month] ?? zero, share), value: over((charge.of === 'net' ? net : value)[month] ?? zero, rate) };
    });
    let quantity = world.quantity(on, month, owned.plan?.streams) ?? zero;
    if (on === 'orders') quantity = total(parts.map((part) => part.orders));
    if (on === 'sales') quantity = total(parts.map((part) => times(part.orders, part.value)));
    quantities.push(quantity);
    const free = (allowance: Allowance | undefined): Rational => {
      if (allowance == null) return zero;
      if (typeof allowance === 'string') return rational(allowance);
      const base = world.quantity(allowance.per, month, owned.plan?.streams) ?? zero;
      return times(rational(allowance.ratio ?? '0'), allowance.per === 'sales' ? over(base, rate) : base);
    };
    const unit = (band: { each?: string | null | undefined; percent?: string | null | undefined }) =>
      add(rational(band.each ?? '0'), percent(band.percent));
    const beyond = (allowance: Allowance | undefined) => larger(minus(quantity, free(allowance)), zero);
    let amount = zero;
    if (charge.how === 'per-order') {
      const charged = parts.map((part) => ({
        ...part,
        orders: charge.refund === 'returned' ? times(part.orders, minus(one, percent(part.stream.refunds))) : part.orders,
      }));
      const fees = charged.flatMap(({ stream, orders, value: average }) => {
        const sizes = stream.orderSizes ?? [{ share: '100', times: '1' }];
        const mean = total(sizes.map((size) => times(percent(size.share), rational(size.times))));
        return sizes.map((size) => {
          const value = over(times(average, rational(size.times)), mean);
          let fee = add(times(value, percent(charge.percent)), rational(charge.each ?? '0'));
          if (charge.least != null) fee = larger(fee, rational(charge.least));
          if (charge.most != null) fee = smaller(fee, rational(charge.most));
          return times(times(orders, percent(size.share)), fee);
        });
      });
      const count = total(charged.map(({ orders }) => orders));
      amount = total(fees);
      if (charge.free !== undefined)
        amount = count.top === 0n ? zero : over(times(amount, larger(minus(count, free(charge.free)), zero)), count);
    } else if (charge.how === 'per-unit') amount = times(beyond(charge.free), unit(charge));
    else if (charge.how === 'package')
      amount = times(ceiling(over(beyond(charge.free), rational(charge.size ?? '1'))), rational(charge.each ?? '0'));
    else if (charge.how === 'graduated') {
      let edge = zero;
      charge.bands.forEach((band, index) => {
        const last = index === charge.bands.length - 1;
        const top = band.upTo === null || last ? quantity : smaller(quantity, rational(band.upTo));
        if (compare(quantity, edge) > 0) amount = add(amount, add(times(minus(top, edge), unit(band)), rational(band.flat ?? '0')));
        if (band.upTo !== null) edge = rational(band.upTo);
      });
    } else if (charge.how === 'prepaid') {
      counted = add(counted, quantity);
      const wanted = larger(ceiling(over(minus(counted, rational(charge.opening ?? '0')), rational(charge.size ?? '1'))), zero);
      const packs = larger(minus(wanted, bought), zero);
      bought = add(bought, packs);
      amount = times(packs, rational(charge.each ?? '0'));
    } else {
      const band = charge.bands.find(({ upTo }) => upTo === null || compare(quantity, rational(upTo)) <= 0) ?? charge.bands.at(-1);
      if (band) amount = add(times(quantity, unit(band)), rational(band.flat ?? '0'));
    }
    if (charge.monthlyMin != null) amount = larger(amount, rational(charge.monthlyMin));
    if (charge.monthlyCap != null) amount = smaller(amount, rational(charge.monthlyCap));
    if (left !== null) {
      amount = smaller(amount, left);
      left = minus(left, amount);
    }
    return amount;
  });
  return { amounts, quantities };
}

function resultOf(file: DecisionFile, candidate: Candidate): Record<string, unknown> {
  const world = worldOf(file, candidate);
  const base = file.currency;
  const rateOf = (currency: string) => (currency === base ? one : rational(file.rates?.[currency] ?? '1'));
  const lines: Line[] = [];
  const unknown = new Set<string>();
  let prepaid = zero;
  const line = (month: number, bucket: string, charged: Rational, currency: string, taxed: boolean) =>
    lines.push({ month, bucket, amount: money(times(money(charged, currency), rateOf(currency)), base), taxed });
  const pay = (month: number, covers: number, price: Rational, currency: string, bucket: string, taxed: boolean, isCredit = false) => {
    const charged = money(price, currency);
    if (file.basis === 'spread') {
      const length = covers === 0 ? file.months - month : covers;
      const upTo = (part: number) => money(over(times(charged, rational(part)), rational(length)), currency);
      for (let part = 0; part < length && month + part < file.months; part++)
        line(month + part, bucket, minus(upTo(part + 1), upTo(part)), currency, taxed);
    } else line(month, bucket, charged, currency, taxed);
    const past = month + covers - file.months;
    if (covers > 0 && past > 0 && !isCredit)
      prepaid = add(prepaid, times(over(times(charged, rational(past)), rational(covers)), rateOf(currency)));
  };
  /** The payments of a term: month, months covered, price in its currency, rounded. */
  const paymentsOf = (term: Term, count: number, currency: string, extraMonths: number) => {
    const { intro, renewal, changes = [] } = term;
    const granted = intro && (!intro.until || intro.until >= file.start) ? intro.periods : 0;
    const payments: Array<{ month: number; covers: number; price: Rational }> = [];
    let month = Math.floor((term.trialDays ?? 0) / 30);
    for (let ordinal = 0; month < file.months; ordinal++) {
      const isRenewed = renewal !== undefined && ordinal >= (granted > 0 ? granted : 1);
      const change = !renewal || isRenewed ? [...changes].reverse().find(({ from }) => monthOf(file, month) >= from) : undefined;
      const usual = rational(change?.price ?? (isRenewed ? renewal?.price : term.price) ?? '0');
      let price = usual;
      if (intro && ordinal < granted) price = 'off' in intro ? times(usual, minus(one, percent(intro.off))) : rational(intro.price ?? '0');
      const length = isRenewed ? (renewal?.months ?? 0) : term.months;
      const covers = length + (ordinal === 0 && length > 0 ? extraMonths : 0);
      payments.push({ month, covers, price: money(times(price, rational(count)), currency) });
      if (covers === 0) break;
      month += covers;
    }
    return payments;
  };
  const isNotKnown = ({ price, intro, renewal }: Term) =>
    price === null || renewal?.price === null || (intro !== undefined && 'price' in intro && intro.price === null);
  const payTerm = (term: Term, count: number, currency: string, bucket: string, taxed: boolean, id: string, extraMonths: number) => {
    if (isNotKnown(term)) return unknown.add(id);
    for (const { month, covers, price } of paymentsOf(term, count, currency, extraMonths))
      pay(month, covers, price, currency, bucket, taxed);
    return undefined;
  };
  const plans = candidate.plans.flatMap((used) =>
    file.offers.flatMap((offer) => offer.plans.filter(({ id }) => id === used.plan).map((plan) => ({ plan, used }))),
  );
  for (const { plan, used } of plans) {
    const found = plan.terms.find(({ id }) => id === used.term);
    if (found) payTerm(found, 1, plan.currency, 'plan', plan.taxExcluded ?? false, plan.id, used.extraMonths ?? 0);
    for (const fee of plan.once ?? []) pay(0, 0, rational(fee.amount), plan.currency, 'once', plan.taxExcluded ?? false);
  }
  const allAddons = [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])];
  const addons = (candidate.addons ?? []).flatMap((used) =>
    allAddons.filter(({ id }) => id === used.addon).map((addon) => ({ addon, used })),
  );
  for (const { addon, used } of addons) {
    const found = addon.terms?.find(({ id }) => id === used.term);
    if (found) payTerm(found, used.count ?? 1, addon.currency, 'addon', addon.taxExcluded ?? false, addon.id, 0);
  }
  for (const extra of candidate.extras ?? [])
    for (let month = extra.from ?? 0; month < file.months; month += extra.months) {
      pay(month, extra.months, rational(extra.amount), extra.currency ?? base, extra.months === 0 ? 'once' : 'extra', false);
      if (extra.months === 0) break;
    }
  const exceeded: Array<{ month: number; limit: string }> = [];
  const charges = ownedCharges(file, candidate);
  const inHorizon = ({ charge }: Owned) =>
    Array.from({ length: file.months }, (_, month) => month).some((month) => exists(file, charge, month));
  /** What credits took already of a plan's payments, by the plan's place and the month. */
  const taken = new Map<string, Rational>();
  for (const owned of charges.filter(inHorizon)) {
    if (hasNull(owned.charge)) {
      unknown.add(owned.charge.id);
      continue;
    }
    const { charge, currency, taxed, plan } = owned;
    const { amounts, quantities } = chargeMonths(world, candidate, owned, rateOf(currency));
    if (charge.against === 'plan' && plan) {
      const used = plans[plan.place];
      const term = used?.plan.terms.find(({ id }) => id === used.used.term);
      let balance = zero;
      const payments = term && !isNotKnown(term) ? paymentsOf(term, 1, currency, used?.used.extraMonths ?? 0) : [];
      for (let month = 0; month < file.months; month++) {
        for (const payment of payments.filter((one_) => one_.month === month)) {
          const key = `${plan.place} ${month}`;
          const part = money(smaller(minus(payment.price, taken.get(key) ?? zero), balance), currency);
          taken.set(key, add(taken.get(key) ?? zero, part));
          balance = minus(balance, part);
          pay(month, payment.covers, minus(zero, part), currency, 'credit', taxed, true);
        }
        balance = add(balance, money(amounts[month] ?? zero, currency));
      }
    } else
      amounts.forEach((amount, month) =>
        line(
          month,
          charge.credit ? 'credit' : (charge.bucket ?? 'transaction'),
          charge.credit ? minus(zero, amount) : amount,
          currency,
          taxed,
        ),
      );
    const last = 'bands' in charge ? charge.bands.at(-1)?.upTo : null;
    if (last != null)
      quantities.forEach((quantity, month) => compare(quantity, rational(last)) > 0 && exceeded.push({ month, limit: charge.id }));
  }
  for (let month = 0; month < file.months; month++) {
    const hours = add(rational(candidate.hours?.monthly ?? '0'), month === 0 ? rational(candidate.hours?.setup ?? '0') : zero);
    lines.push({ month, bucket: 'time', amount: money(times(hours, rational(file.hourValue ?? '0')), base), taxed: false });
    const taxable = total(lines.filter((one_) => one_.taxed && one_.month === month).map(({ amount }) => amount));
    lines.push({ month, bucket: 'tax', amount: money(times(taxable, percent(file.feeTax)), base), taxed: false });
    for (const { plan, used } of plans) {
      const inMonth = (name: string, at: number) => {
        const quantity = world.quantity(name, at, used.streams);
        return quantity && name === 'sales' ? over(quantity, rateOf(plan.currency)) : quantity;
      };
      for (const [name, most] of Object.entries(plan.limits ?? {})) {
        const raised = total(addons.map(({ addon, used: by }) => times(rational(addon.raises?.[name] ?? '0'), rational(by.count ?? 1))));
        const counted = inMonth(name, month);
        if (counted && compare(counted, add(rational(most), raised)) > 0) exceeded.push({ month, limit: name });
      }
      for (const [name, most] of Object.entries(plan.yearlyLimits ?? {})) {
        let year = zero;
        for (let at = Math.max(0, month - 11); at <= month; at++) year = add(year, inMonth(name, at) ?? zero);
        if (compare(year, rational(most)) > 0) exceeded.push({ month, limit: `${name}/year` });
      }
    }
  }
  const places = DIGITS[base] ?? 2;
  const sum = total(lines.map(({ amount }) => amount));
  const orders = total(world.streams.flatMap((stream) => stream.orders));
  const sales = total(world.streams.flatMap((stream) => stream.orders.map((count, month) => times(count, stream.value[month] ?? zero))));
  const kept = total(
    world.streams.map(({ stream, orders: counted, net }) =>
      times(
        times(total(counted.map((count, month) => times(count, net[month] ?? zero))), percent(stream.margin ?? '100')),
        minus(one, percent(stream.refunds)),
      ),
    ),
  );
  const buckets = [...new Set(lines.map(({ bucket }) => bucket))].map(
    (bucket) => [bucket, total(lines.filter((one_) => one_.bucket === bucket).map(({ amount }) => amount))] as const,
  );
  const features = [
    ...plans.map(({ plan }) => plan.features),
    ...addons.map(({ addon }) => addon.features),
    ...(candidate.extras ?? []).map((extra) => extra.features),
  ];
  const unmet = (file.needs ?? []).filter(({ level, feature, least, from }) => {
    if (level !== 'must' || (from && from > monthOf(file, file.months - 1))) return false;
    return !features.some((all) => {
      const value = all?.[feature];
      return (
        value === true || (typeof value === 'string' && compare(rational(value), rational(least ?? '0')) > (least === undefined ? 0 : -1))
      );
    });
  });
  const stated = (feature: string) => plans.some(({ plan }) => plan.features?.[feature] != null);
  const first = exceeded.sort((a, b) => a.month - b.month || (a.limit < b.limit ? -1 : 1))[0];
  const payable = charges.filter(
    ({ charge }) => charge.bucket === 'payment' && !charge.credit && ['orders', 'sales'].includes(charge.on ?? 'orders'),
  );
  return {
    total: written(sum, places),
    buckets: Object.fromEntries(
      buckets.filter(([, amount]) => amount.top !== 0n).map(([bucket, amount]) => [bucket, written(amount, places)]),
    ),
    monthly: Array.from({ length: file.months }, (_, month) =>
      written(total(lines.filter((one_) => one_.month === month).map(({ amount }) => amount)), places),
    ),
    perOrder: orders.top === 0n ? null : written(over(sum, orders), 4),
    shareOfSales: sales.top === 0n ? null : written(times(over(sum, sales), rational(100)), 4),
    keep: written(minus(rounded(kept, places), sum), places),
    prepaid: written(prepaid, places),
    outgrown: first ? { month: monthOf(file, first.month), limit: first.limit } : null,
    missing: [...new Set(unmet.filter(({ feature }) => stated(feature)).map(({ feature }) => feature))],
    unclear: [...new Set(unmet.filter(({ feature }) => !stated(feature)).map(({ feature }) => feature))],
    unknown: [...unknown].sort(),
    noPaymentFee: world.streams
      .filter(({ stream, orders: counted }) =>
        Object.entries(stream.cards ?? { domestic: '100' }).some(([card, share]) => {
          const fees = payable.filter((owned) => counts(candidate, owned, stream, card));
          const isFree = (month: number) => (counted[month]?.top ?? 0n) > 0n && !fees.some(({ charge }) => exists(file, charge, month));
          return rational(share).top > 0n && Array.from({ length: file.months }, (_, month) => month).some(isFree);
        }),
      )
      .map(({ stream }) => stream.id),
    usable: unmet.length === 0 && !first,
  };
}
