import type { PriceSheet } from '#core/decision/price-sheet';
import { checkSheet } from '#core/price-checks/price-checks';
import { useCheckContext } from './check-context';
import { newFindings as words } from './words/new-findings';

/** The questions that a sheet would raise after a change, and did not before. */
export function NewFindings({ before, after, today }: { before: PriceSheet; after: PriceSheet; today: string }) {
  const context = useCheckContext(today);
  const asked = new Set(checkSheet(before, context).open.map(({ check, place, figures }) => `${check} ${place} ${figures}`));
  const fresh = checkSheet(after, context).open.filter(
    ({ check, place, figures }) => check !== 'payment-fee' && !asked.has(`${check} ${place} ${figures}`),
  );
  if (fresh.length === 0) return null;
  return (
    <ul className="new-findings" aria-label={words.questionsAboutIt}>
      {fresh.map(({ check, place, title, question }) => (
        <li key={`${check} ${place}`}>
          <b>{title}</b> {question}
        </li>
      ))}
    </ul>
  );
}
