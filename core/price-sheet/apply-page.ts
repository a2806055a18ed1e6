import type { OfferSheet, PriceSheet } from '../decision/price-sheet';
import type { Plan } from '../decision-file/price-sheet-schema';
import type { Statement } from '../price-phrase/statement';
import { type ApplyContext, type Applied, applyStatements } from './apply-statements';
import { noteFigure } from './figure-notes';
import { columnsOf } from './parts';

const LONGEST_WORDS = 1000;

/** A stretch of the page's own words, and what it states. */
export interface StatedWords {
  readonly words: string;
  readonly statements: readonly Statement[];
}

/** What is stated about one plan; `plan` null means the plans that are chosen for the text. */
export interface PlanStatements {
  readonly plan: string | null;
  readonly stated: readonly StatedWords[];
}

/**
 * Puts what a whole text states on a sheet, each figure with the page's own words as its evidence; plans that it names
 * and that are not there yet are added at the right.
 *
 * @param chosen - ids of the parts that statements without a plan's name are for
 */
export function applyPage(sheet: PriceSheet, page: readonly PlanStatements[], chosen: readonly string[], context: ApplyContext): Applied {
  let changed = sheet;
  const places = new Set<string>();
  const problems: string[] = [];
  for (const { plan, stated } of page) {
    let targets = chosen;
    if (plan !== null) {
      const found = withPlanNamed(changed, plan, context.newId);
      changed = found.sheet;
      targets = [found.id];
    }
    for (const target of targets) {
      const applied = applyWords(changed, target, stated, context);
      changed = applied.sheet;
      applied.places.forEach((place) => places.add(place));
      problems.push(...applied.problems);
    }
  }
  return { sheet: changed, places: [...places], problems: [...new Set(problems)] };
}

/** An offer's end belongs to the price before it, so that all words about a plan are put on together. */
function applyWords(sheet: PriceSheet, target: string, stated: readonly StatedWords[], context: ApplyContext): Applied {
  const applied = applyStatements(
    sheet,
    target,
    stated.flatMap(({ statements }) => statements),
    context,
  );
  const wordsAt = new Map<string, string[]>();
  for (const { words, statements } of stated) {
    // Applied once more, only to learn which figures these words are about.
    const { places } = applyStatements(
      applied.sheet,
      target,
      statements.filter(({ kind }) => kind !== 'offer'),
      context,
    );
    for (const place of places)
      if (applied.places.includes(place) && words !== '') wordsAt.set(place, [...(wordsAt.get(place) ?? []), words]);
  }
  const noted = [...wordsAt].reduce(
    (changed, [place, words]) => noteFigure(changed, place, { stated: words.join('; ').slice(0, LONGEST_WORDS) }),
    applied.sheet,
  );
  return { ...applied, sheet: noted };
}

/** The sheet with a plan of that name, and its id; a plan that has neither name nor prices yet gets the name. */
function withPlanNamed(sheet: PriceSheet, name: string, newId: () => string): { sheet: PriceSheet; id: string } {
  const found = columnsOf(sheet).find(({ label }) => label.trim().toLowerCase() === name.trim().toLowerCase());
  if (found) return { sheet, id: found.id };
  if (sheet.kind !== 'offer') return { sheet, id: columnsOf(sheet)[0]?.id ?? '' };
  const blank = sheet.offer.plans.find((plan) => plan.label === '' && plan.terms.length === 0 && (plan.charges ?? []).length === 0);
  if (blank)
    return {
      sheet: withPlans(
        sheet,
        sheet.offer.plans.map((plan) => (plan === blank ? { ...plan, label: name } : plan)),
      ),
      id: blank.id,
    };
  const id = newId();
  const currency = sheet.offer.plans[0]?.currency ?? 'EUR';
  return { sheet: withPlans(sheet, [...sheet.offer.plans, { id, label: name, currency, terms: [] }]), id };
}

function withPlans(sheet: OfferSheet, plans: Plan[]): OfferSheet {
  return { ...sheet, offer: { ...sheet.offer, plans } };
}
