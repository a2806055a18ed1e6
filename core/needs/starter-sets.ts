import type { DecisionNeed } from '../decision/need-schema';
import { needKey } from '../wording/need-words';

/** Needs to begin with, for one kind of seller. */
export interface StarterSet {
  readonly id: string;
  /** Who it is for: "sells …". */
  readonly label: string;
  readonly needs: readonly DecisionNeed[];
}

const must = (feature: string, why: string, more: Partial<DecisionNeed> = {}): DecisionNeed => ({
  feature,
  level: 'must',
  kind: 'yes-no',
  weight: '3',
  why,
  ...more,
});
const want = (feature: string, weight: string, why: string, more: Partial<DecisionNeed> = {}): DecisionNeed => ({
  feature,
  level: 'want',
  kind: 'yes-no',
  weight,
  why,
  ...more,
});

/** Starting points by kind of seller; what several share is taken once. */
export const STARTER_SETS: readonly StarterSet[] = [
  {
    id: 'goods',
    label: 'goods that are sent',
    needs: [
      must('checkout', 'orders and payments on the site'),
      must('stock', 'never sell what is gone'),
      want('shipping-labels', '3', 'printing them from the order saves an errand'),
      want('variants', '3', 'sizes and colours of one product'),
      want('discount-codes', '2', 'for newsletters and fairs'),
      want('gift-cards', '2', 'people give what you make'),
      want('returns', '1', 'refunds from within the order'),
    ],
  },
  {
    id: 'downloads',
    label: 'downloads',
    needs: [
      must('checkout', 'orders and payments on the site'),
      must('downloads', 'the file reaches the buyer by itself'),
      want('download-limits', '1', 'a link that does not travel'),
    ],
  },
  {
    id: 'courses',
    label: 'courses and lessons',
    needs: [
      must('checkout', 'orders and payments on the site'),
      must('lessons', 'chapters in an order, behind a payment'),
      must('video', 'lessons are filmed'),
      want('progress', '2', 'learners see how far they are'),
      want('live-sessions', '2', 'questions are answered in person'),
      want('certificates', '1', 'for those who finish'),
    ],
  },
  {
    id: 'club',
    label: 'a club or membership',
    needs: [
      must('subscriptions', 'money comes in by the month by itself'),
      must('member-area', 'members only'),
      want('video', '3', 'something new each month'),
      want('community', '2', 'members talk to each other'),
      want('failed-payments', '2', 'expired cards are followed up'),
    ],
  },
  {
    id: 'services',
    label: 'services and appointments',
    needs: [
      must('bookings', 'people choose a time by themselves'),
      want('deposits', '3', 'no empty chairs'),
      want('reminders', '2', 'fewer who forget'),
    ],
  },
  {
    id: 'in-person',
    label: 'in person, at fairs or in a shop',
    needs: [
      must('card-reader', 'few carry cash'),
      want('one-stock', '4', 'what is sold at the stall is gone on the site'),
      want('offline-sales', '2', 'a field without a network'),
    ],
  },
  {
    id: 'abroad',
    label: 'abroad',
    needs: [
      must('currencies', 'prices in the buyer’s money', { kind: 'at-least', least: '2' }),
      want('languages', '3', 'a shop in the buyer’s words', { kind: 'at-least', least: '2' }),
      want('tax-by-country', '4', 'the right tax without a table'),
      want('customs-forms', '2', 'parcels do not get stuck'),
    ],
  },
  {
    id: 'together',
    label: 'together with others',
    needs: [
      want('staff', '3', 'everybody signs in as themselves', { kind: 'at-least', least: '2' }),
      want('roles', '2', 'not everybody may refund'),
    ],
  },
  {
    id: 'everybody',
    label: 'what nearly everybody needs',
    needs: [
      must('own-domain', 'the address stays yours'),
      must('export', 'products, orders and customers come out again'),
      want('mailings', '3', 'buyers hear from you again'),
      want('platform-adverts', '2', 'the site is yours, not theirs', { without: true }),
    ],
  },
];

/** The needs of several sets together: a need that two of them have is taken once, the stricter one. */
export function needsOfSets(ids: readonly string[]): DecisionNeed[] {
  const all = STARTER_SETS.filter(({ id }) => ids.includes(id)).flatMap(({ needs }) => needs);
  const taken = new Map<string, DecisionNeed>();
  for (const need of all) if (!taken.has(needKey(need)) || need.level === 'must') taken.set(needKey(need), need);
  return [...taken.values()];
}

/** The needs with those of a set that are not among them yet. */
export function withStarterSets(needs: readonly DecisionNeed[], ids: readonly string[]): DecisionNeed[] {
  const present = new Set(needs.map(needKey));
  return [...needs, ...needsOfSets(ids).filter((need) => !present.has(needKey(need)))];
}
