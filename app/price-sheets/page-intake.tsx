import { Button, Checkbox, Radio } from 'antd';
import { type RefObject, useId, useMemo, useRef, useState } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { PageReading } from '#core/price-page/page-reading';
import { applyReading, type AppliedReading, type Differing, type ReadingAnswers } from '#core/price-sheet/apply-reading';
import { columnsOf } from '#core/price-sheet/parts';
import { counted } from '#core/wording/counted';
import { ChoiceField } from '../components/choice-field';
import { newId } from '../workbench/new-id';
import { useWorkbench } from '../workbench/workbench-context';
import { CURRENCY_OPTIONS } from './currency-options';
import { useKnownQuantities } from './known-quantities';
import { NewFindings } from './new-findings';
import { type LineState, lineStates, type ShownLine } from './page-lines';
import { PagePreview } from './page-preview';
import { usePageChoices } from './use-page-choices';
import { pageIntake as texts } from './words/page-intake';

interface PageIntakeProps {
  name: string;
  /** Under which key its choices are kept for a reload. */
  keptAs: string;
  reading: PageReading;
  sheet: PriceSheet;
  today: string;
  /** `compareIn`: the currency that the decision is compared in from then on. */
  onTakeOver(change: (sheet: PriceSheet) => PriceSheet, compareIn?: string): void;
  onDone(): void;
  /** Shows the page as a table whose rows and columns one names oneself; null where it has none. */
  onByHand: (() => void) | null;
}

/** What a pricing page says beside its own lines: what became of each, a few questions, and the sheet it would make. */
export function PageIntake({ name, keptAs, reading, sheet, today, onTakeOver, onDone, onByHand }: PageIntakeProps) {
  const known = useKnownQuantities();
  const [choices, choose, forgetChoices] = usePageChoices(keptAs, reading);
  const { answers, differing, comparesIn } = choices;
  const currency = choices.currency ?? reading.currency ?? (reading.sign === '$' ? 'USD' : usualCurrency(sheet));
  const [place, setPlace] = useState<string | null>(null);
  const lines = useRef<HTMLOListElement>(null);
  const { decision, sheets } = useWorkbench().state.workbench;
  // While nothing else has a price, there is no rate to be found: all can be compared in the page's own currency.
  const isFirst = currency !== decision.currency && !sheets.some((used) => used.sheet !== sheet && hasPrices(used.sheet));
  const priced = useMemo(() => ({ ...reading, currency }), [reading, currency]);
  // Ids of the preview are never used; the sheet gets its own when it is taken over.
  const preview = useMemo(
    () => applyReading(sheet, priced, answers, differing, { known, newId: previewIds() }),
    [sheet, priced, answers, differing, known],
  );
  const shown = useMemo(() => lineStates(reading, preview.linesAt), [reading, preview]);
  const leave = () => {
    forgetChoices();
    onDone();
  };
  const take = () => {
    onTakeOver(
      (one) => applyReading(one, priced, answers, differing, { known, newId }).sheet,
      isFirst && comparesIn ? currency : undefined,
    );
    leave();
  };
  const showLines = (at: string) => {
    setPlace(at);
    scrollToLine(lines, preview.linesAt.get(at)?.[0]);
  };
  return (
    <div className="page-intake" role="group" aria-label={texts.whatThePageSays}>
      <PageSummary name={name} reading={reading} shown={shown} />
      {reading.currency === null && (
        <ChoiceField
          label={reading.sign === '$' ? texts.whichDollarThePage : texts.theCurrencyOfItsPrices}
          value={currency}
          options={CURRENCY_OPTIONS}
          onChange={(chosen) => choose({ currency: chosen })}
        />
      )}
      {isFirst && (
        <Checkbox checked={comparesIn} onChange={({ target }) => choose({ comparesIn: target.checked })}>
          {texts.compareEverythingInFromNow(currency, decision.currency)}
        </Checkbox>
      )}
      <Questions
        reading={reading}
        answers={answers}
        onAnswer={(index, option) => choose({ answers: withAnswer(answers, index, option) })}
      />
      <DifferingFigures preview={preview} differing={differing} onChange={(chosen) => choose({ differing: chosen })} />
      {preview.problems.map((problem) => (
        <p key={problem} className="field-problem" role="alert">
          {problem}
        </p>
      ))}
      <p className="phrase-take">
        <Button type="primary" size="small" onClick={take}>
          {texts.addToTheSheet}
        </Button>
        <Button type="text" size="small" onClick={leave}>
          {texts.leaveIt}
        </Button>
        {onByHand && (
          <Button type="text" size="small" onClick={onByHand}>
            {texts.nameItsColumnsMyself}
          </Button>
        )}
      </p>
      <div className="page-beside">
        <PageLines lines={shown} list={lines} place={place} linesAt={preview.linesAt} onShow={setPlace} />
        <PagePreview sheet={preview.sheet} linesAt={preview.linesAt} place={place} onShow={showLines} />
      </div>
      <NewFindings before={sheet} after={preview.sheet} today={today} />
    </div>
  );
}

/** Ids of a preview are never kept. */
function previewIds(): () => string {
  let next = 0;
  return () => `read-${(next += 1)}`;
}

function hasPrices(sheet: PriceSheet): boolean {
  return columnsOf(sheet).some(({ terms = [], charges = [] }) => terms.length > 0 || charges.length > 0);
}

function usualCurrency(sheet: PriceSheet): string {
  return columnsOf(sheet)[0]?.currency ?? 'EUR';
}

function withAnswer(answers: ReadingAnswers, index: number, option: number | null): ReadingAnswers {
  const { [index]: _former, ...others } = answers;
  return option === null ? others : { ...others, [index]: option };
}

function scrollToLine(list: RefObject<HTMLOListElement | null>, line: number | undefined): void {
  list.current?.querySelector(`[data-line="${line}"]`)?.scrollIntoView({ block: 'nearest' });
}

const TOLD: ReadonlyArray<readonly [LineState, string]> = [
  ['asked', texts.askedAbout],
  ['open', texts.notUnderstood],
  ['aside', texts.putAside],
];

function PageSummary({ name, reading, shown }: { name: string; reading: PageReading; shown: readonly ShownLine[] }) {
  const facts = [...reading.plans, ...reading.addons].reduce((sum, { facts: own }) => sum + own.length, 0);
  const count = (state: LineState) => shown.filter((line) => line.state === state).length;
  const told = [texts.areUsed(count('used')), ...TOLD.flatMap(([state, words]) => (count(state) > 0 ? [`${count(state)} ${words}`] : []))];
  const plans = reading.isProcessor ? texts.aPaymentProcessor : counted(reading.plans.length, 'plan');
  const addons = reading.addons.length > 0 ? texts.and(counted(reading.addons.length, 'add-on')) : '';
  return (
    <p className="page-summary" aria-live="polite">
      {texts.ofItsLines(
        <b>
          {reading.vendor || name}: {plans}
          {addons}, {counted(facts, 'figure')}.
        </b>,
        told.join(', '),
        reading.leftOut && <span className="problem"> {texts.notLookedAt(reading.leftOut)}</span>,
      )}
    </p>
  );
}

interface QuestionsProps {
  reading: PageReading;
  answers: ReadingAnswers;
  onAnswer(index: number, option: number | null): void;
}

/** None has to be answered: what is left open stays open on the sheet. */
function Questions({ reading, answers, onAnswer }: QuestionsProps) {
  const id = useId();
  if (reading.asked.length === 0) return null;
  return (
    <section className="page-questions" aria-label={texts.questionsAboutThePage}>
      {reading.asked.map(({ question, text, plans, options }, index) => (
        <div key={question} className="page-question" role="radiogroup" aria-labelledby={`${id}-${index}`}>
          <p id={`${id}-${index}`}>
            <b>{question}</b> <q>{text}</q> {plans.length > 0 && plans[0] !== '' && <span className="quiet">({plans.join(', ')})</span>}
          </p>
          <Radio.Group
            value={answers[index] ?? null}
            onChange={({ target }) => onAnswer(index, target.value as number | null)}
            options={[...options.map(({ label }, option) => ({ value: option, label })), { value: null, label: texts.leaveItOpen }]}
          />
        </div>
      ))}
    </section>
  );
}

interface DifferingFiguresProps {
  preview: AppliedReading;
  differing: Differing;
  onChange(differing: Differing): void;
}

function DifferingFigures({ preview, differing, onChange }: DifferingFiguresProps) {
  const id = useId();
  const { length } = preview.differing;
  if (length === 0) return null;
  return (
    <div className="page-question" role="radiogroup" aria-labelledby={id}>
      <p id={id}>
        <b>{texts.differentlyOnTheSheet(counted(length, 'figure'), length === 1 ? texts.stands : texts.stand)}</b>{' '}
        {preview.differing.slice(0, 6).map(({ place, former, stated }) => (
          <span key={place} className="differing">
            {texts.onTheSheetOnThePage(former)} <q>{stated}</q>
          </span>
        ))}
      </p>
      <Radio.Group
        value={differing}
        onChange={({ target }) => onChange(target.value as Differing)}
        options={[
          { value: 'take', label: texts.takeThePagesWhat },
          { value: 'keep', label: texts.keepTheSheets },
        ]}
      />
    </div>
  );
}

interface PageLinesProps {
  lines: readonly ShownLine[];
  list: RefObject<HTMLOListElement | null>;
  place: string | null;
  linesAt: AppliedReading['linesAt'];
  onShow(place: string): void;
}

/** The page's own lines, each with what became of it; one that is used leads to its figure. */
function PageLines({ lines, list, place, linesAt, onShow }: PageLinesProps) {
  const [all, setAll] = useState(false);
  const active = new Set(place === null ? [] : linesAt.get(place));
  const visible = all ? lines : lines.filter(({ state }) => state !== 'aside');
  return (
    <section className="page-lines" aria-label={texts.linesOfThePage}>
      <p className="page-lines-head">
        <Checkbox checked={all} onChange={({ target }) => setAll(target.checked)}>
          {texts.showWhatWasPut}
        </Checkbox>
      </p>
      <ol ref={list}>
        {visible.map(({ line, text, state, why, place: at }) => (
          <li key={`${line} ${text}`} data-line={line} className={`is-${state}${active.has(line) ? ' is-active' : ''}`}>
            {at === null ? (
              <span>{text}</span>
            ) : (
              <button type="button" aria-pressed={at === place} onClick={() => onShow(at)}>
                {text}
              </button>
            )}
            {why !== '' && <small>{why}</small>}
          </li>
        ))}
      </ol>
    </section>
  );
}
