import { decimal } from '../amount/decimal';
import type { Addon, Features, Offer, Plan, SharedAddon } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import { placeOf } from '../price-sheet/parts';
import { isThere } from './file-needs';
import type { DecisionNeed } from '../decision/need-schema';
import { featuresOf } from '../wording/need-words';

/** What a plan says to a need. */
export type Answer =
  | { readonly kind: 'yes' }
  | { readonly kind: 'no' }
  /** So much; `amount` null = no limit. */
  | { readonly kind: 'amount'; readonly amount: string | null; readonly isEnough: boolean }
  /** The plan has it not, or does not say; an add-on of the same vendor, or one that works with it, has it. */
  | { readonly kind: 'addon'; readonly addon: Addon; readonly isShared: boolean }
  /** Of a connection both ways, one way only. */
  | { readonly kind: 'one-way'; readonly way: 'to' | 'from' }
  | { readonly kind: 'not-known' };

/** A plan as needs are put to it: with the marks of its sheet and the add-ons that can go with it. */
export interface Asked {
  readonly plan: Plan;
  readonly marks: PriceSheet['marks'];
  readonly own: readonly Addon[];
  readonly shared: readonly SharedAddon[];
}

/** A vendor's plans, each ready to be asked. */
export interface AskedVendor {
  readonly sheetId: string;
  readonly offer: Offer;
  readonly plans: readonly Asked[];
}

/** All plans of a decision's price sheets, by vendor. */
export function askedVendors(sheets: ReadonlyArray<{ readonly id: string; readonly sheet: PriceSheet }>): AskedVendor[] {
  const shared = sheets.flatMap(({ sheet }) => (sheet.kind === 'addon' ? [sheet.addon] : []));
  return sheets.flatMap(({ id, sheet }) => {
    if (sheet.kind !== 'offer') return [];
    const { offer, marks } = sheet;
    const fitting = shared.filter(({ worksWith }) => !worksWith || worksWith.includes(offer.id));
    return [{ sheetId: id, offer, plans: offer.plans.map((plan) => ({ plan, marks, own: offer.addons ?? [], shared: fitting })) }];
  });
}

/** What a plan says to a need, an add-on beside it included. */
export function answerOf(need: DecisionNeed, { plan, marks, own, shared }: Asked): Answer {
  const direct = planAnswer(need, plan, marks);
  if (need.without || isMet(direct, need)) return direct;
  const addon = [...own, ...shared].find(({ features }) => featuresOf(need).every((feature) => fits(features, feature, need.least)));
  return addon ? { kind: 'addon', addon, isShared: !own.includes(addon) } : direct;
}

/** What a plan itself says to a need. */
export function planAnswer(need: DecisionNeed, plan: Pick<Plan, 'id' | 'features' | 'limits'>, marks: PriceSheet['marks']): Answer {
  const features = featuresOf(need);
  const values = features.map((feature) => valueOf(plan, feature, need, marks));
  if (need.kind === 'connects' && features.length === 2) {
    const there = values.map((value) => value !== null && isThere(value));
    if (there[0] && there[1]) return { kind: 'yes' };
    if (there[0] || there[1]) return { kind: 'one-way', way: there[0] ? 'to' : 'from' };
    return values.includes(null) ? { kind: 'not-known' } : { kind: 'no' };
  }
  const [value = null] = values;
  if (value === null) return { kind: 'not-known' };
  if (value === UNLIMITED) return { kind: 'amount', amount: null, isEnough: true };
  if (typeof value === 'string') return { kind: 'amount', amount: value, isEnough: decimal(value).gte(need.least ?? '0.000001') };
  return { kind: value ? 'yes' : 'no' };
}

const UNLIMITED = 'unlimited';

function valueOf(
  plan: Pick<Plan, 'id' | 'features' | 'limits'>,
  feature: string,
  { kind }: DecisionNeed,
  marks: PriceSheet['marks'],
): boolean | string | null {
  if (marks?.[placeOf(plan.id, { kind: 'feature', feature })] === 'not-offered') return false;
  const value = plan.features?.[feature];
  if (value !== undefined && value !== null) return value;
  if (kind !== 'at-least') return null;
  if (marks?.[placeOf(plan.id, { kind: 'limit', quantity: feature })] === 'unlimited') return UNLIMITED;
  return plan.limits?.[feature] ?? null;
}

/** Whether an answer meets its need. */
export function isMet(answer: Answer, { without }: Pick<DecisionNeed, 'without'>): boolean {
  if (without) return answer.kind === 'no' || (answer.kind === 'amount' && answer.amount !== null && decimal(answer.amount).isZero());
  return answer.kind === 'yes' || answer.kind === 'addon' || (answer.kind === 'amount' && answer.isEnough);
}

function fits(features: Features | undefined, feature: string, least: string | undefined): boolean {
  const value = features?.[feature];
  if (typeof value === 'string') return decimal(value).gte(least ?? '0.000001');
  return value === true;
}

/** How many needs nobody has an answer to yet, among the plans of a vendor. */
export function unansweredOf(needs: readonly DecisionNeed[], plans: readonly Asked[]): number {
  return plans.reduce((sum, asked) => sum + needs.filter((need) => answerOf(need, asked).kind === 'not-known').length, 0);
}
