import { Button } from 'antd';
import { type RefObject, useState } from 'react';
import { Link } from 'react-router';
import { answerOf, planAnswer } from '#core/needs/answers';
import { type GivenAnswer, withAnswer, withAnswerByAddon } from '#core/needs/edit-answers';
import type { DecisionNeed } from '#core/decision/need-schema';
import { featuresOf, needWords } from '#core/wording/need-words';
import type { PriceSheet } from '#core/decision/price-sheet';
import { evidenceOf, noteFigure } from '#core/price-sheet/figure-notes';
import { placeOf } from '#core/price-sheet/parts';
import { ChoiceField } from '../components/choice-field';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { EvidenceForm } from '../price-sheets/evidence-form';
import { EvidenceWords } from '../price-sheets/evidence-words';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useStore } from '../workbench/workbench-context';
import type { AnswerColumn } from './answers-table';
import { addonPrice, answerText } from './answer-words';
import { answerForm as words } from './words';

interface AnswerFormProps {
  need: DecisionNeed;
  column: AnswerColumn;
  sheet: PriceSheet;
  today: string;
  /** Gets the focus when more is to be said about the cell. */
  first: RefObject<HTMLElement | null>;
}

/** What one plan says to one need, with what that rests on. */
export function AnswerForm({ need, column, sheet, today, first }: AnswerFormProps) {
  const { decisionId } = useStore();
  const edits = useEdits();
  const write = useWriter();
  const { vendor, asked } = column;
  const { plan } = asked;
  const isLimit = need.kind === 'at-least' && plan.limits?.[need.feature] !== undefined;
  const place = placeOf(
    plan.id,
    isLimit ? { kind: 'limit', quantity: need.feature } : { kind: 'feature', feature: featuresOf(need)[0] ?? need.feature },
  );
  const direct = planAnswer(need, plan, asked.marks);
  const shown = answerText(answerOf(need, asked), need, write);
  const name = `${vendor.offer.label} ${plan.label}`.trim();
  const change = (key: string, recipe: (sheet: PriceSheet) => PriceSheet) =>
    edits.sheet(vendor.sheetId, `${place}.${key}`, `${name}, ${needWords(need)}`, recipe);
  const answer = (given: GivenAnswer) => change('answer', (one) => withAnswer(one, plan.id, need, given));
  const isBothWays = need.kind === 'connects' && need.direction === 'both';
  return (
    <section aria-label={words.theAnswer} className="answer-form" ref={first} tabIndex={-1}>
      <h2>{needWords(need)}</h2>
      <p className="quiet">
        {name}:{' '}
        <b className={`is-${shown.state}`}>
          {shown.state === 'not-known' ? words.nobodyKnowsYet : `${shown.text}${shown.note ? `, ${shown.note}` : ''}`}
        </b>
      </p>
      <ChoiceField
        label={words.thePlanItselfSays}
        value={chosenOf(direct)}
        placeholder={direct.kind === 'amount' ? words.soManySeeBelow : words.notKnown}
        options={[
          { value: 'yes', label: need.without ? words.itHasIt : words.yes },
          { value: 'no', label: need.without ? words.itIsWithout : words.no },
          ...(isBothWays
            ? [
                { value: 'one-way-to', label: words.handsItsDataOnOnly },
                { value: 'one-way-from', label: words.takesDataOverOnly },
              ]
            : []),
          { value: 'not-known', label: words.notKnown },
        ]}
        onChange={(given) =>
          answer(
            given === 'one-way-to' || given === 'one-way-from'
              ? { kind: 'one-way', way: given === 'one-way-to' ? 'to' : 'from' }
              : { kind: given === 'yes' || given === 'no' ? given : 'not-known' },
          )
        }
      />
      {need.kind === 'at-least' && (
        <NumberField
          fieldKey={`answer.${place}`}
          label={words.howMany(need.label ?? need.feature)}
          optional
          value={direct.kind === 'amount' ? (direct.amount ?? undefined) : undefined}
          range={{ least: 0, most: 1e12, wanted: words.aNumber }}
          onChange={(amount) => answer(amount === undefined || amount === null ? { kind: 'not-known' } : { kind: 'amount', amount })}
        />
      )}
      {!need.without && sheet.kind === 'offer' && (
        <ByAddon need={need} sheet={sheet} currency={plan.currency} onChange={(recipe) => change('addon', recipe)} />
      )}
      <h3>{words.evidence}</h3>
      <EvidenceWords evidence={evidenceOf(sheet, place)} figure={shown.state === 'not-known' ? words.notKnown : shown.text} today={today} />
      <Fold summary={words.sayMoreAboutIt}>
        <EvidenceForm
          fieldKey={`${vendor.sheetId}.evidence.${place}`}
          evidence={evidenceOf(sheet, place)}
          onChange={(evidence) => change('evidence', (one) => noteFigure(one, place, evidence))}
        />
      </Fold>
      <p>
        <Link to={`/decisions/${decisionId}/sheets/${vendor.sheetId}`}>{words.onThePriceSheet}</Link>
      </p>
    </section>
  );
}

interface ByAddonProps {
  need: DecisionNeed;
  sheet: Extract<PriceSheet, { kind: 'offer' }>;
  currency: string;
  onChange(recipe: (sheet: PriceSheet) => PriceSheet): void;
}

/** An add-on of the vendor that does what the plan does not. */
function ByAddon({ need, sheet, currency, onChange }: ByAddonProps) {
  const write = useWriter();
  const [label, setLabel] = useState('');
  const [price, setPrice] = useState<string | null | undefined>(undefined);
  const addons = sheet.offer.addons ?? [];
  return (
    <Fold summary={words.asAnAddOn}>
      {addons.length > 0 && (
        <ChoiceField
          label={words.oneThatIsOnTheSheet}
          value={undefined}
          placeholder={words.choose}
          options={addons.map((addon) => ({ value: addon.id, label: `${addon.label}, ${addonPrice(addon, write)}` }))}
          onChange={(id) => onChange((one) => withAnswerByAddon(one, need, { id }))}
        />
      )}
      <TextField label={words.orANewOne} value={label} placeholder={words.itsName} onChange={setLabel} />
      <NumberField
        fieldKey={`addon.new.${sheet.offer.id}`}
        label={words.byTheMonth}
        optional
        mayBeUnknown
        suffix={currency}
        value={price}
        range={{ least: 0, most: 1e9, wanted: words.anAmountOrIf }}
        onChange={setPrice}
      />
      <Button
        size="small"
        disabled={label.trim() === ''}
        onClick={() => {
          onChange((one) => withAnswerByAddon(one, need, { newId, label: label.trim(), price: price ?? null, currency }));
          setLabel('');
          setPrice(undefined);
        }}
      >
        {words.addItToTheSheet}
      </Button>
    </Fold>
  );
}

/** Which choice stands for what the plan itself says; none for an amount, and for what an add-on does. */
function chosenOf(direct: ReturnType<typeof planAnswer>) {
  switch (direct.kind) {
    case 'amount':
      return direct.amount === null ? 'yes' : undefined;
    case 'one-way':
      return `one-way-${direct.way}` as const;
    case 'addon':
      return undefined;
    default:
      return direct.kind;
  }
}
