import { allowanceThenRate, countThenRate } from './allowance-rules';
import type { ChargeDraft, Qualifier } from './charge-draft';
import { joined, qualifiers, qualifiersBehind } from './charge-qualifiers';
import { longest, made, optional, type Rule, sequence, sign, words } from './grammar';
import {
  type Core,
  percentAndFixed,
  percentOfOrder,
  percentOfSales,
  percentAlone,
  fixedPerOrder,
  nothingPerOrder,
  perUnitWritten,
  packageWritten,
  prepaidPack,
  perNoun,
  perExtraOrder,
  packageOf,
  savedPerNoun,
  namedFee,
  noFee,
  revenueShare,
  keptShare,
  tiers,
} from './rate-rules';
import { asks, inCurrency, type Reading } from './reading';
import type { StatedCharge, Statement } from './statement';
import { type Bucket, CHARGE_HEADINGS } from './vocabulary';
import { capital } from '../wording/capital';

/** What stands before a charge's rate: its name, and what kind of fee it is. */
export interface ChargeHead {
  readonly label?: string | undefined;
  readonly bucket?: Bucket | undefined;
  readonly only?: StatedCharge['only'];
}
const core: Rule<Core> = longest<Core>(
  tiers,
  allowanceThenRate,
  countThenRate,
  savedPerNoun,
  perUnitWritten,
  packageWritten,
  prepaidPack,
  namedFee,
  percentAndFixed,
  percentOfOrder,
  percentOfSales,
  nothingPerOrder,
  fixedPerOrder,
  perExtraOrder,
  packageOf,
  perNoun,
  noFee,
  revenueShare,
  keptShare,
  percentAlone,
);

/** A charge with all that narrows it, before or behind its rate. */
export function chargeRule(head: ChargeHead | null): Rule<Reading> {
  return longest<Reading>(
    made(sequence(core, onTop, narrowing), ([found, , behind]) => readingOf(found, behind, head)),
    made(sequence(qualifiersBefore, core, onTop, narrowing), ([before, found, , behind]) => readingOf(found, [...before, ...behind], head)),
  );
}

const onTop = optional(words('extra', 'on top', 'in addition', 'besides'));
const narrowing: Rule<Qualifier[]> = made(
  optional(
    made(sequence(optional(sign(',')), optional(words('but', 'and')), qualifiersBehind), ([, , found]) =>
      found.length > 0 ? found : null,
    ),
  ),
  (found) => found ?? [],
);

const qualifiersBefore: Rule<Qualifier[]> = made(optional(sequence(qualifiers, optional(sign(':', ',')))), (found) => found?.[0] ?? []);

function readingOf(found: Core, extras: readonly Qualifier[], head: ChargeHead | null): Reading {
  const bounds = extras.flatMap(({ bound }) => (bound ? [bound] : []));
  const plain = extras.map(({ bound: _bound, ...rest }) => rest);
  const draft = joined(head?.only ? { only: head.only } : {}, found.draft, ...plain);
  const [bound] = bounds;
  const state = (changed: ChargeDraft): Statement => ({
    kind: 'charge',
    charge: chargeOf(changed, head),
    ...(found.beyond ? { beyond: true } : {}),
    ...inCurrency(found),
  });
  if (bound) {
    const { side, money: limit } = bound;
    const [month, order] = side === 'most' ? (['monthlyCap', 'most'] as const) : (['monthlyMin', 'least'] as const);
    if (draft.how !== 'per-order')
      return {
        statements: [state({ ...draft, [month]: limit.amount })],
        remark: `${side === 'most' ? 'at most' : 'at least'} ${limit.amount} is taken to be by the month`,
      };
    return asks(
      `Does ${side === 'most' ? 'at most' : 'at least'} ${limit.amount} hold for each order, or for a month?`,
      ['for each order', state({ ...draft, [order]: limit.amount })],
      ['for a month', state({ ...draft, [month]: limit.amount })],
    );
  }
  if (found.ask === 'tiers')
    return asks(
      'Does each part have its own price, or does everything get the price of the step reached?',
      ['each part its own price', state({ ...draft, how: 'graduated' })],
      ['all at the price of the step reached', state({ ...draft, how: 'volume' })],
    );
  if (found.ask === 'kept')
    return asks(
      'Are they bought ahead, and what is left kept for later?',
      ['yes, they are kept', state({ ...draft, how: 'prepaid' })],
      ['no, each month’s are paid as they are used', state(draft)],
    );
  const isSaid =
    head?.bucket !== undefined ||
    draft.only?.payments === 'outside' ||
    draft.bucket !== undefined ||
    draft.only?.cards !== undefined ||
    draft.free !== undefined ||
    draft.credit;
  if (found.ask === 'whose-fee' && !isSaid) return whoseFee(draft, state);
  if (found.ask === 'free-what' && draft.on === undefined)
    return asks(
      'What is counted?',
      ...['orders', 'contacts', 'emails', 'subscribers', 'labels'].map(
        (on) => [on, state(on === 'orders' ? draft : { ...draft, on })] as const,
      ),
    );
  return { statements: [state(draft)] };
}

function whoseFee(draft: ChargeDraft, state: (draft: ChargeDraft) => Statement): Reading {
  return asks(
    `What is ${draft.percent}% taken of, and by whom?`,
    ['of each order, the platform’s own share', state({ ...draft, bucket: 'transaction', label: 'Sales fee' })],
    ['of each order, the fee for card payments', state({ ...draft, bucket: 'payment', label: 'Card fee' })],
    ['saved by paying by the year', { kind: 'saving', percent: draft.percent ?? '0' }],
  );
}

function chargeOf(draft: ChargeDraft, head: ChargeHead | null): StatedCharge {
  const bucket = head?.bucket ?? draft.bucket ?? usualBucket(draft);
  const { how = 'per-order', label: _label, bucket: _bucket, on, ...fields } = draft;
  const label = head?.label ?? draft.label ?? usualLabel(draft, bucket);
  const counted = on === undefined || on === 'orders' || how === 'per-order' ? {} : { on };
  return { label, bucket, ...counted, how, ...fields } as StatedCharge;
}

function usualBucket({ how, on = 'orders', only, percent, each, credit }: ChargeDraft): Bucket {
  if (credit) return 'transaction';
  if (only?.payments === 'outside') return 'transaction';
  if (only?.cards !== undefined) return 'payment';
  if (how === 'per-order') return percent !== undefined && each !== undefined ? 'payment' : 'transaction';
  return on === 'orders' || on === 'sales' ? 'transaction' : 'usage';
}

function usualLabel({ how, on = 'orders', only, percent, credit, free }: ChargeDraft, bucket: Bucket): string {
  if (credit) return 'Credit';
  const heading = CHARGE_HEADINGS.find((one) => one.bucket === bucket && one.only && JSON.stringify(one.only) === JSON.stringify(only));
  if (heading) return heading.label;
  if (bucket === 'payment') return 'Card fee';
  if (on === 'sales') return 'Share of sales';
  if (how === 'per-order') return percent !== undefined ? 'Sales fee' : 'Fee per order';
  if (on === 'orders') return free === undefined ? 'Fee per order' : 'Orders beyond the allowance';
  return capital(on.replaceAll('-', ' '));
}
