import { Button } from 'antd';
import TextArea from 'antd/es/input/TextArea';
import { useDeferredValue, useEffect, useEffectEvent, useId, useMemo, useState } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import { readPage } from '#core/price-phrase/read-page';
import { columnsOf } from '#core/price-sheet/parts';
import { ChoiceField } from '../components/choice-field';
import { useWorkbench } from '../workbench/workbench-context';
import { useKeptText } from '../workbench/use-kept-text';
import { useKnownQuantities } from './known-quantities';
import { PageReading } from './page-reading';
import { LEAST_LINES, pastedPage } from './pasted-page';
import { usePage } from './use-page';
import { phraseBar as words } from './words/phrase-bar';

interface PhraseBarProps {
  /** The sheet's id; what is typed and not taken over is kept under it. */
  id: string;
  sheet: PriceSheet;
  today: string;
  /** The column that the grid's focus is in. */
  column: string;
  onTakeOver(change: (sheet: PriceSheet) => PriceSheet): void;
  /** A page or a table was pasted: its markup, or its text. */
  onPage(text: string): void;
}

const ALL = 'all';

/** A line, or a whole page, typed as the pricing page says it; nothing counts before it is taken over. */
export function PhraseBar({ id: sheetId, sheet, today, column, onTakeOver, onPage }: PhraseBarProps) {
  const id = useId();
  const known = useKnownQuantities();
  const { needs: stated } = useWorkbench().state.workbench.decision;
  const needs = useMemo(() => (stated ?? []).map(({ feature }) => feature), [stated]);
  const [text, setText] = useKeptText(`phrases.${sheetId}`);
  const [chosen, setChosen] = useState<string | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const columns = columnsOf(sheet);
  const target = chosen ?? (columns.some((part) => part.id === column) ? column : (columns[0]?.id ?? ''));
  const read = useDeferredValue(text);
  const clauses = useMemo(
    () =>
      readPage(
        read,
        columns.map(({ label }) => label),
        { known, needs },
      ),
    [read, columns, known, needs],
  );
  const page = usePage(sheet, clauses, target === ALL ? columns.map((part) => part.id) : [target], read);
  const takeOver = () => {
    if (!page.isReady) return;
    setProblems(page.apply(sheet).problems);
    onTakeOver((one) => page.apply(one).sheet);
    setText(page.leftOver.join('\n'));
  };
  // What was typed last may not be read yet: it is taken over once it is, so that none of it is lost.
  const [isWanted, setWanted] = useState(false);
  const isRead = read === text;
  const take = () => (isRead ? takeOver() : setWanted(true));
  const takeWanted = useEffectEvent(() => {
    setWanted(false);
    takeOver();
  });
  useEffect(() => {
    if (!isWanted || !isRead) return;
    const frame = requestAnimationFrame(() => takeWanted());
    return () => cancelAnimationFrame(frame);
  }, [isWanted, isRead]);
  return (
    <section className="phrase-bar" aria-label={words.typeItAsThePage}>
      <div className="phrase-line">
        <label htmlFor={id} className="visually-hidden">
          {words.whatThePageSays}
        </label>
        <TextArea
          id={id}
          variant="borderless"
          autoSize={{ minRows: 1, maxRows: 14 }}
          autoComplete="off"
          spellCheck={false}
          maxLength={20_000}
          value={text}
          placeholder={words.of27MoOr258}
          aria-describedby={`${id}-read`}
          onChange={({ target: { value } }) => setText(value)}
          onPaste={(event) => {
            const pasted = pastedPage(event.clipboardData);
            if (pasted === null) return;
            event.preventDefault();
            onPage(pasted);
          }}
          onKeyDown={(event) => {
            if (page.press(event)) return;
            if (event.key === 'Enter' && !event.shiftKey && (page.isReady || !isRead || text.trim() === '')) {
              event.preventDefault();
              take();
            }
          }}
        />
        {columns.length > 1 && (
          <ChoiceField
            label={words.forWhichPlan}
            labelHidden
            value={target}
            options={[
              ...columns.map(({ id: part, label }, index) => ({ value: part, label: words.for(label || words.plan(index + 1)) })),
              { value: ALL, label: words.forAllPlans },
            ]}
            onChange={setChosen}
          />
        )}
      </div>
      <div className="phrase-read" id={`${id}-read`} aria-live="polite">
        {page.isEmpty ? (
          <p className="quiet">{words.pasteAVendorsWhole}</p>
        ) : (
          <PageReading page={page} sheet={sheet} today={today} onTakeOver={take} />
        )}
        {text.split('\n').length >= LEAST_LINES && (
          <Button
            size="small"
            type="text"
            onClick={() => {
              onPage(text);
              setText('');
            }}
          >
            {words.readItAsAWhole}
          </Button>
        )}
        {problems.map((problem) => (
          <p key={problem} className="field-problem" role="alert">
            {words.notAdded(problem)}
          </p>
        ))}
      </div>
    </section>
  );
}
