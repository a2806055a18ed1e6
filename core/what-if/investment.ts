import { Decimal, decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import { addMonths, type Month } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { inVersion, VERSION_NAMES, type VersionName } from '../forecast/versions';
import { ledgerOf } from '../pricing/ledger';
import type { LedgerLine } from '../pricing/ledger-line';
import { forecastWith, preparePricing } from '../pricing/pricing';
import type { Change } from './changes';
import type { Investment } from '../decision/investment-schema';

/** What an investment comes to at one expected lift, against doing it oneself; base currency. */
export interface InvestmentOutcome {
  readonly version: VersionName;
  /** Percent more online orders. */
  readonly lift: string;
  /** More orders over the horizon, 1 place. */
  readonly extraOrders: string;
  /** What is kept more over the horizon; negative where it is less. It is the sum of the parts below. */
  readonly keptMore: string;
  readonly parts: {
    /** Margin on more orders: sales without tax and refunds, after the goods. */
    readonly margin: string;
    /** Plans, fees and add-ons, fees on the extra orders included. */
    readonly platform: string;
    readonly once: string;
    readonly upkeep: string;
    readonly hours: string;
  };
  /** By month, added up from the first. */
  readonly cumulative: readonly string[];
  /** The first month from which on it has paid for itself within the horizon; null if it does not. */
  readonly payback: Month | null;
  /** What is kept more over 36 months from the start, whatever the horizon. */
  readonly threeYears: string;
}

/** The bigger investment, judged by what is kept. */
export interface InvestmentJudged {
  readonly outcomes: readonly InvestmentOutcome[];
  /** The least lift at which as much is kept over the horizon as by doing it oneself, percent to 2 places; null if even ten times the orders are not enough. */
  readonly requiredLift: string | null;
  /** The same as orders a month, 4 places. */
  readonly requiredOrders: string | null;
  /** Share of all orders that come from people who find the seller online and can grow, percent, 1 place. */
  readonly onlineShare: string;
}

const MOST_LIFT = 1000;
const THREE_YEARS = 36;

/**
 * Judges an investment by what is kept, not by what it costs: it brings margin on more online orders, and these bring
 * fees; it costs money once and every month, and saves or takes own hours (decision file §7, `keep`).
 *
 * @returns null if one of the two candidates is not in the file
 */
export function judgeInvestment(file: DecisionFile, investment: Investment): InvestmentJudged | null {
  const instead = file.candidates.find(({ id }) => id === investment.instead);
  const on = file.candidates.find(({ id }) => id === investment.on);
  if (!instead || !on) return null;
  const kept = (of: DecisionFile, candidate: Candidate) => keptMonths(of, candidate);
  const oneself = kept(file, instead);
  const long = { ...file, months: THREE_YEARS };
  const oneselfLong = kept(long, instead);
  const invested = investedIn(on, investment);
  const more = (lift: string) => total(kept(withMoreOrders(file, investment, lift), invested)).minus(total(oneself));
  const outcomes = VERSION_NAMES.map((version) => {
    const lift = investment.lift[version];
    const lifted = withMoreOrders(file, investment, lift);
    const months = kept(lifted, invested);
    return {
      version,
      lift,
      extraOrders: ordersOf(lifted).minus(ordersOf(file)).toFixed(1),
      ...outcomeOf(file, oneself, months),
      threeYears: money(file, total(kept(withMoreOrders(long, investment, lift), invested)).minus(total(oneselfLong))),
    };
  });
  const required = leastLift(more);
  const online = foundOrders(file, investment);
  return {
    outcomes,
    requiredLift: required,
    requiredOrders: required === null ? null : online.times(fraction(required)).div(file.months).toFixed(4),
    onlineShare: ordersOf(file).isZero() ? '0.0' : online.div(ordersOf(file)).times(100).toFixed(1),
  };
}

/** What is earned and what is spent in a month, and what for. */
interface KeptMonth {
  readonly margin: Decimal;
  readonly platform: Decimal;
  readonly once: Decimal;
  readonly upkeep: Decimal;
  readonly hours: Decimal;
}

const PARTS = ['margin', 'platform', 'once', 'upkeep', 'hours'] as const;
const BUILD = 'investment';
const UPKEEP = 'investment, every month';

function investedIn(candidate: Candidate, { build, photographs, texts, upkeep, hours }: Investment): Candidate {
  const once = [build, photographs, texts].map((amount) => ({ label: BUILD, amount, months: 0 }));
  return { ...candidate, extras: [...(candidate.extras ?? []), ...once, { label: UPKEEP, amount: upkeep, months: 1 }], hours };
}

function keptMonths(file: DecisionFile, candidate: Candidate): KeptMonth[] {
  const pricing = preparePricing(file);
  const forecast = forecastWith(pricing, candidate);
  const { lines } = ledgerOf(pricing, candidate);
  const isOf = (line: LedgerLine, label: string) => line.source.kind === 'extra' && candidate.extras?.[line.source.index]?.label === label;
  const byMonth = (counts: (line: LedgerLine) => boolean) => {
    const amounts = new Array<Decimal>(file.months).fill(ZERO);
    for (const line of lines) if (counts(line)) amounts[line.month] = (amounts[line.month] ?? ZERO).minus(line.amount);
    return amounts;
  };
  const once = byMonth((line) => isOf(line, BUILD));
  const upkeep = byMonth((line) => isOf(line, UPKEEP));
  const hours = byMonth((line) => line.bucket === 'time');
  const platform = byMonth((line) => line.bucket !== 'time' && !isOf(line, BUILD) && !isOf(line, UPKEEP));
  return Array.from({ length: file.months }, (_, month) => ({
    margin: sum(
      forecast.streams.map(({ orders, netOrderValue, stream, refunded }) =>
        (orders[month] ?? ZERO)
          .times(netOrderValue[month] ?? ZERO)
          .times(fraction(stream.margin ?? '100'))
          .times(ONE.minus(refunded)),
      ),
    ),
    platform: platform[month] ?? ZERO,
    once: once[month] ?? ZERO,
    upkeep: upkeep[month] ?? ZERO,
    hours: hours[month] ?? ZERO,
  }));
}

function total(months: readonly KeptMonth[]): Decimal {
  return sum(months.map(monthTotal));
}

function monthTotal(month: KeptMonth): Decimal {
  return sum(PARTS.map((part) => month[part]));
}

function money(file: DecisionFile, amount: Decimal): string {
  return moneyText(roundMoney(amount, file.currency), file.currency);
}

function outcomeOf(
  file: DecisionFile,
  oneself: readonly KeptMonth[],
  invested: readonly KeptMonth[],
): Pick<InvestmentOutcome, 'keptMore' | 'parts' | 'cumulative' | 'payback'> {
  let standing = ZERO;
  const cumulative = invested.map((month, index) => {
    const before = oneself[index];
    standing = standing.plus(monthTotal(month)).minus(before ? monthTotal(before) : ZERO);
    return standing;
  });
  const lastBelow = cumulative.findLastIndex((amount) => amount.lt(ZERO));
  const part = (name: (typeof PARTS)[number]) =>
    money(file, sum(invested.map((month) => month[name])).minus(sum(oneself.map((month) => month[name]))));
  return {
    keptMore: money(file, standing),
    parts: { margin: part('margin'), platform: part('platform'), once: part('once'), upkeep: part('upkeep'), hours: part('hours') },
    cumulative: cumulative.map((amount) => money(file, amount)),
    payback: lastBelow + 1 < cumulative.length ? addMonths(file.start, lastBelow + 1) : null,
  };
}

function isOnline(stream: DecisionFile['forecast']['streams'][number]): boolean {
  return stream.channel !== 'in-person';
}

/** Percent of a stream's orders from people who find the seller online, as stated or, where it is not, by where it is sold. */
export function foundOnline(stream: DecisionFile['forecast']['streams'][number], { foundOnline: stated }: Investment): string {
  return stated?.[stream.id] ?? (isOnline(stream) ? '100' : '0');
}

/** By how much every stream grows if what is found online grows by so many percent; those that do not are left out. */
function growthOf({ forecast }: Pick<DecisionFile, 'forecast'>, investment: Investment, percent: string): Map<string, string> {
  const grown = forecast.streams.map((stream) => [stream.id, fraction(foundOnline(stream, investment)).times(percent).toFixed()] as const);
  return new Map(grown.filter(([, more]) => !decimal(more).isZero()));
}

/** The orders an investment is taken to bring, as changes that a scenario can have. */
export function broughtOrders(file: Pick<DecisionFile, 'forecast'>, investment: Investment): Change[] {
  return [...growthOf(file, investment, investment.lift.expected)].map(([id, value]) => ({ key: `orders:${id}`, value }));
}

/** More orders where a better site can bring them: from people who find the seller online. */
function withMoreOrders(file: DecisionFile, investment: Investment, percent: string): DecisionFile {
  const streams = Object.fromEntries([...growthOf(file, investment, percent)].map(([id, orders]) => [id, { orders }]));
  return { ...file, forecast: inVersion(file.forecast, { streams }) };
}

/** Orders over the horizon from people who find the seller online. */
function foundOrders(file: DecisionFile, investment: Investment): Decimal {
  const { streams } = preparePricing(file).forecastAt(ONE);
  return sum(streams.map(({ stream, orders }) => sum(orders).times(fraction(foundOnline(stream, investment)))));
}

function ordersOf(file: DecisionFile): Decimal {
  return sum(preparePricing(file).forecastAt(ONE).orders);
}

/** The least lift at which nothing is lost, to a hundredth of a percent; more orders are taken to bring more. */
function leastLift(more: (lift: string) => Decimal): string | null {
  const hundredths = (count: number) => decimal(count).div(100).toFixed();
  if (more('0').gte(ZERO)) return '0';
  let [low, high] = [0, MOST_LIFT * 100];
  if (more(hundredths(high)).lt(ZERO)) return null;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (more(hundredths(middle)).lt(ZERO)) low = middle;
    else high = middle;
  }
  return hundredths(high);
}
