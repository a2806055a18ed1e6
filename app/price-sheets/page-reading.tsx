import { Button } from 'antd';
import type { PriceSheet } from '#core/decision/price-sheet';
import { ClauseList } from './clause-list';
import { NewFindings } from './new-findings';
import type { ReadPage } from './use-page';
import { pageReading as words } from './words/page-reading';

interface PageReadingProps {
  page: ReadPage;
  sheet: PriceSheet;
  today: string;
  onTakeOver(): void;
}

/** What was read of a page, plan by plan, with its questions and checks, before it counts. */
export function PageReading({ page, sheet, today, onTakeOver }: PageReadingProps) {
  const { stretches, asking, marked, answer, isReady, apply } = page;
  return (
    <>
      <div className={`stretches${stretches.length > 1 ? ' are-several' : ''}`}>
        {stretches.map(({ plan, clauses, offset }, index) => (
          <div key={index}>
            {plan !== null && <b className="stretch-plan">{plan}</b>}
            <ClauseList
              clauses={clauses}
              asking={asking - offset}
              marked={marked}
              onAnswer={(clause, option) => answer(offset + clause, option)}
            />
          </div>
        ))}
      </div>
      {isReady && <NewFindings before={sheet} after={apply(sheet).sheet} today={today} />}
      <p className="phrase-take">
        <Button type="primary" size="small" disabled={!isReady} onClick={onTakeOver}>
          {words.add}
        </Button>
        {asking >= 0 && <span className="quiet">{words.aQuestionIsOpen}</span>}
      </p>
    </>
  );
}
