import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge, Offer, Plan, SharedAddon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { PriceSheet } from '../decision/price-sheet';
import { plansWithoutCardFees, sellsSomething, statesCardFees } from '../price-sheet/takes-payments';

/** Under this name a candidate's unknown prices list card fees that no price sheet of it states. */
export const CARD_FEES = 'card-fees-not-entered';
const ADDON = 'card-fees';

/**
 * The decision file in which card fees that nobody entered are a price that is not known, so that a vendor without any is
 * not the cheapest for that reason alone. They are asked for only where another one's are entered: without any, all are
 * alike. Who says that they are not offered, or free, has answered.
 *
 * @param sheets - for what is marked on them
 */
export function withOpenCardFees(file: DecisionFile, sheets: readonly PriceSheet[]): DecisionFile {
  const { offers, candidates, forecast } = file;
  if (forecast.streams.length === 0 || !offers.some(({ plans }) => plans.some(statesCardFees))) return file;
  const answered = answeredOn(sheets);
  const isOpen = (plan: Plan, offer: Offer) => !statesCardFees(plan) && sellsSomething(offer) && !answered.has(plan.id);
  const lacking = candidates.filter((candidate) => lacksCardFees(file, candidate, isOpen));
  if (lacking.length === 0) return file;
  return {
    ...file,
    addons: [...(file.addons ?? []), openAddon(file.currency)],
    candidates: candidates.map((candidate) =>
      lacking.includes(candidate) ? { ...candidate, addons: [...(candidate.addons ?? []), { addon: ADDON }] } : candidate,
    ),
  };
}

/** The same for what can be proposed: a plan alone that states no card fee has one that is not known, if it takes the payments itself. */
export function withOpenCardFeesOfPlans(file: DecisionFile, sheets: readonly PriceSheet[]): DecisionFile {
  const { offers, forecast } = file;
  if (forecast.streams.length === 0 || !offers.some(({ plans }) => plans.some(statesCardFees))) return file;
  const answered = answeredOn(sheets);
  let count = 0;
  return {
    ...file,
    offers: offers.map((offer) =>
      !sellsSomething(offer)
        ? offer
        : {
            ...offer,
            plans: offer.plans.map((plan) => {
              if (statesCardFees(plan) || answered.has(plan.id)) return plan;
              count += 1;
              return { ...plan, charges: [...(plan.charges ?? []), openCharge(`${ADDON}.${count}`)] };
            }),
          },
    ),
  };
}

function openCharge(id: string): Charge {
  return { id, label: 'Card fees', bucket: 'payment', how: 'per-order', percent: null, only: { payments: 'own' } };
}

function openAddon(currency: string): SharedAddon {
  return { id: ADDON, label: 'Card fees', currency, charges: [openCharge(CARD_FEES)] };
}

/** Whether a candidate leaves the payments to plans of which none says what that costs. */
function lacksCardFees(
  { offers, addons = [] }: DecisionFile,
  { plans, addons: taken = [], payments = 'own' }: Candidate,
  isOpen: (plan: Plan, offer: Offer) => boolean,
): boolean {
  if (payments !== 'own') return false;
  const sold = [...addons, ...offers.flatMap((offer) => offer.addons ?? [])];
  if (taken.some(({ addon }) => sold.some((one) => one.id === addon && statesCardFees(one)))) return false;
  const used = plans.flatMap(({ plan: id, takesPayments = true }) =>
    offers.flatMap((offer) => offer.plans.flatMap((plan) => (plan.id === id && takesPayments ? [{ plan, offer }] : []))),
  );
  return used.length > 0 && !used.some(({ plan }) => statesCardFees(plan)) && used.some(({ plan, offer }) => isOpen(plan, offer));
}

function answeredOn(sheets: readonly PriceSheet[]): ReadonlySet<string> {
  return new Set(sheets.flatMap((sheet) => [...plansWithoutCardFees(sheet)]));
}
