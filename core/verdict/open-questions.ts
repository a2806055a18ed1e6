import { decimal } from '../amount/decimal';
import { daysBetween } from '../calendar/day';
import { bestCandidate, inOrder, leadOver } from '../comparison/best';
import { runnerUpOf, vendorsOf } from '../comparison/vendors';
import type { PricedDecision } from '../comparison/decision-result';
import type { Workbench } from '../decision/workbench';
import { comparedBy } from '../decision-file/compared-by';
import { sheetLabel } from '../decision/sheet-label';
import { needWords } from '../wording/need-words';
import { openPrices } from '../what-if/open-prices';
import { USUAL_LOOK_AGAIN_DAYS } from '../decision/dates-schema';
import type { OpenQuestion } from '../decision/verdict-schema';

/** A lead of less than so much of the total is within what a guess can be off. */
const CLOSE_SHARE = '0.02';

/**
 * What makes a verdict a modest one, and what to find out next, the weightiest first: nobody to choose, a single
 * candidate, sales that are one guess, prices and answers that are not known, sheets that nobody has dated or that are
 * old, a lead within what a guess can be off, and card fees that were most likely forgotten.
 *
 * @param today - `YYYY-MM-DD`
 * @param mayWin - candidates that a price not known could make the cheapest
 */
export function openQuestions(
  { decision, sheets }: Workbench,
  priced: PricedDecision,
  mayWin: readonly string[],
  today: string,
): OpenQuestion[] {
  const { result, pricing } = priced;
  const { file } = pricing;
  const labels = new Map(file.candidates.map(({ id, label }) => [id, label]));
  const labelOf = (id: string) => labels.get(id) ?? id;
  const questions: OpenQuestion[] = [];
  const ask = (kind: OpenQuestion['kind'], about: readonly string[], figure?: string) =>
    questions.push({ kind, about: about.slice(0, 50), ...(figure === undefined ? {} : { figure }) });
  if (bestCandidate(priced) === null) ask('nobody', []);
  if (result.candidates.length === 1)
    ask(
      'one-candidate',
      result.candidates.map(({ id }) => labelOf(id)),
    );
  if (isOneGuess(decision.forecast)) ask('sales-guess', []);
  const prices = openPrices(file);
  if (prices.length > 0)
    ask(
      'price-unknown',
      prices.map(({ label }) => label),
    );
  else {
    const unknown = result.candidates.filter((one) => one.unknown.length > 0).map(({ id }) => labelOf(id));
    if (unknown.length > 0) ask('price-unknown', unknown);
  }
  const unclear = result.candidates.flatMap(({ id, unclear: features }) =>
    features.map((feature) => `${labelOf(id)}: ${wordsOf(decision.needs ?? [], feature)}`),
  );
  if (unclear.length > 0) ask('answer-unknown', unclear);
  const undated = sheets.filter(({ sheet }) => sheet.seen === undefined).map(({ sheet }) => sheetLabel(sheet));
  if (undated.length > 0) ask('not-seen', undated);
  const old = sheets.filter(
    ({ sheet }) => sheet.seen !== undefined && daysBetween(sheet.seen, today) > (decision.dates?.lookAgain ?? USUAL_LOOK_AGAIN_DAYS),
  );
  if (old.length > 0)
    ask(
      'old-sheet',
      old.map(({ sheet }) => sheetLabel(sheet)),
      String(Math.max(...old.map(({ sheet }) => daysBetween(sheet.seen ?? today, today)))),
    );
  const lead = leadOf(priced);
  if (mayWin.length > 0 || (lead && decimal(lead.margin).lt(decimal(lead.total).times(CLOSE_SHARE))))
    ask('close', (mayWin.length > 0 ? mayWin : [lead?.second].flatMap((one) => one ?? [])).map(labelOf), lead?.margin);
  const fees = result.candidates.filter(({ noPaymentFee }) => noPaymentFee.length > 0).map(({ id }) => labelOf(id));
  if (fees.length > 0) ask('no-fee', fees);
  return questions;
}

/** A verdict is a modest one where a gap could change the choice itself. */
export function isModest(questions: readonly OpenQuestion[]): boolean {
  return questions.some(({ kind }) => ['nobody', 'one-candidate', 'sales-guess', 'close', 'no-fee'].includes(kind));
}

/** Nothing but one constant number of orders. */
function isOneGuess({ streams }: Workbench['decision']['forecast']): boolean {
  const [only] = streams;
  return (
    streams.length === 0 ||
    (streams.length === 1 &&
      only !== undefined &&
      only.subscribers === undefined &&
      (only.orders === undefined || typeof only.orders === 'string'))
  );
}

function wordsOf(needs: NonNullable<Workbench['decision']['needs']>, feature: string): string {
  const need = needs.find((one) => feature === one.feature || feature.endsWith(`-${one.feature}`));
  return need ? needWords(need) : feature.replaceAll('-', ' ');
}

/** By how much the best is ahead of the next. */
function leadOf({ result, pricing }: PricedDecision): { total: string; second: string; margin: string } | null {
  const { file } = pricing;
  const by = comparedBy(file);
  const ordered = inOrder(result.candidates, by);
  const [first] = ordered;
  const second = runnerUpOf(ordered, vendorsOf(file));
  return first && second ? { total: first.total, second: second.id, margin: leadOver(first, second, by, file.currency) } : null;
}
