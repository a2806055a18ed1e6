import { Button } from 'antd';
import { useState } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { Finding } from '#core/price-checks/finding';
import { type CheckedSheet, withReopened, withSettled } from '#core/price-checks/price-checks';
import { TextField } from '../components/text-field';
import { questionList as words } from './words/question-list';

interface QuestionListProps {
  checked: CheckedSheet;
  today: string;
  onSettle(change: (sheet: PriceSheet) => PriceSheet): void;
  /** Shows the figure that a question is about. */
  onShow(place: string): void;
}

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine'];

/** Questions about the figures of a sheet; each can be settled with a reason, which is kept. */
export function QuestionList({ checked, today, onSettle, onShow }: QuestionListProps) {
  const { open, settled } = checked;
  return (
    <section aria-label={words.questions} className="questions">
      <h3>
        {NUMBERS[open.length] ?? open.length} {open.length === 1 ? words.question : words.questionsOpen}
      </h3>
      {open.map((finding) => (
        <Question
          key={`${finding.check} ${finding.place}`}
          finding={finding}
          onShow={onShow}
          onSettle={(reason) => onSettle((sheet) => withSettled(sheet, finding, reason, today))}
        />
      ))}
      {settled.length > 0 && (
        <details>
          <summary>{words.settledSettled(settled.length)}</summary>
          {settled.map(({ finding, by }) => (
            <div key={`${finding.check} ${finding.place}`} className="question is-settled">
              <b>{finding.title}</b>
              <p>
                “{by.reason}” <span className="quiet">({by.on})</span>
              </p>
              <Button size="small" type="text" onClick={() => onSettle((sheet) => withReopened(sheet, by))}>
                {words.askAgain}
              </Button>
            </div>
          ))}
        </details>
      )}
    </section>
  );
}

function Question({ finding, onSettle, onShow }: { finding: Finding; onSettle(reason: string): void; onShow(place: string): void }) {
  const [reason, setReason] = useState<string | null>(null);
  return (
    <div className="question">
      <button type="button" className="question-title" onClick={() => onShow(finding.place)}>
        {finding.title}
      </button>
      <p>{finding.question}</p>
      {reason === null ? (
        <Button size="small" type="text" onClick={() => setReason('')}>
          {words.markAsAnswered}
        </Button>
      ) : (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim() !== '') onSettle(reason.trim());
          }}
        >
          <TextField label={words.whyItIsRight} value={reason} autoFocus onChange={setReason} />
          <Button size="small" htmlType="submit" disabled={reason.trim() === ''}>
            {words.settled}
          </Button>
        </form>
      )}
    </div>
  );
}
