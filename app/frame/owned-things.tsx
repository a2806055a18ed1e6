import { Button } from 'antd';
import type { Decision } from '#core/decision/decision-schema';
import type { Owned } from '#core/decision/owned-schema';
import { fatesOf } from '#core/assembly/owned-fates';
import { slugOf } from '#core/price-phrase/vocabulary';
import { addMonths } from '#core/calendar/month';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { ownedThings as words } from './words';

const RHYTHMS = [
  { value: '1', label: words.aMonth },
  { value: '12', label: words.aYear },
  { value: '0', label: words.paidOnceForGood },
];

/** Features named by the person are written as identifiers. */
const nameOf = (feature: string) => (/^[A-Za-z0-9][A-Za-z0-9._-]*$/.test(feature) ? feature : slugOf(feature));

/** What the seller has already: it counts as met, and its cost goes on or ends with the candidate. */
export function OwnedThings() {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision } = state.workbench;
  const { owned = [] } = decision;
  const change = (id: string, field: string, recipe: (one: Owned) => Owned | null) =>
    edits.decision(`owned.${id}.${field}`, words.whatYouOwn, (one) => withOwnedChanged(one, id, recipe));
  return (
    <>
      <h2>{words.whatYouHaveAlready}</h2>
      <p className="quiet">{words.aMailingToolUntil}</p>
      {owned.map((one) => (
        <OwnedForm key={one.id} owned={one} onChange={(field, recipe) => change(one.id, field, recipe)} />
      ))}
      <p>
        <Button
          onClick={() =>
            edits.decision(`owned.${newId()}`, words.somethingOwned, (one) => ({
              ...one,
              owned: [...(one.owned ?? []), { id: newId(), label: '', features: [], amount: '0', months: 1 }],
            }))
          }
        >
          {words.somethingYouHaveOrPay}
        </Button>
      </p>
    </>
  );
}

function withOwnedChanged(decision: Decision, id: string, recipe: (one: Owned) => Owned | null): Decision {
  return { ...decision, owned: (decision.owned ?? []).flatMap((one) => (one.id === id ? (recipe(one) ?? []) : [one])) };
}

function OwnedForm({ owned, onChange }: { owned: Owned; onChange(field: string, recipe: (one: Owned) => Owned | null): void }) {
  const { state } = useWorkbench();
  const { decision, sheets } = state.workbench;
  const write = useWriter();
  const name = owned.label || 'this';
  const stated = sheets
    .flatMap(({ sheet }) => (sheet.kind === 'offer' ? [...sheet.offer.plans, ...(sheet.offer.addons ?? [])] : []))
    .flatMap(({ features }) => Object.keys(features ?? {}));
  const features = [...new Set([...stated, ...(decision.needs ?? []).map(({ feature }) => feature), ...owned.features])].sort();
  const months = Array.from({ length: Math.min(decision.months, 36) }, (_, index) => addMonths(decision.start, index));
  const paid = owned.paidUntil !== undefined && !months.includes(owned.paidUntil) ? [owned.paidUntil, ...months] : months;
  const fates = fatesOf(state.workbench, owned);
  const inWords = (fate: string) =>
    fates
      .filter((one) => one.fate === fate)
      .map(({ label, id }) => `${id} ${label}`)
      .join(', ');
  return (
    <section className="owned" aria-label={name}>
      <div className="form-grid">
        <TextField
          label={words.whatItIs}
          value={owned.label}
          placeholder={words.mailingTool}
          autoFocus={owned.label === ''}
          onChange={(label) => onChange('label', (one) => ({ ...one, label }))}
        />
        <ChoiceField
          label={words.paid}
          value={String(owned.months)}
          options={
            RHYTHMS.some(({ value }) => value === String(owned.months))
              ? RHYTHMS
              : [...RHYTHMS, { value: String(owned.months), label: words.everyMonths(owned.months) }]
          }
          onChange={(every) => onChange('months', (one) => ({ ...one, months: Number(every) }))}
        />
        {owned.months > 0 && (
          <>
            <NumberField
              fieldKey={`owned.${owned.id}.amount`}
              label={words.eachPayment}
              suffix={owned.currency ?? decision.currency}
              value={owned.amount}
              range={{ least: 0, most: 1e9, wanted: words.anAmountIn(owned.currency ?? decision.currency) }}
              onChange={(amount) => onChange('amount', (one) => ({ ...one, amount: amount ?? '0' }))}
            />
            <ChoiceField
              label={words.paidAlreadyUntilTheEnd}
              value={owned.paidUntil ?? ''}
              options={[
                { value: '', label: words.nothingTheNextPayment },
                ...paid.map((month) => ({ value: month, label: write.month(month) })),
              ]}
              onChange={(month) =>
                onChange('paid-until', ({ paidUntil: _former, ...one }) => (month === '' ? one : { ...one, paidUntil: month }))
              }
            />
          </>
        )}
        <ChoicesField
          label={words.whatItIsThere}
          values={owned.features}
          options={features.map((feature) => ({ value: feature, label: feature.replaceAll('-', ' ') }))}
          placeholder={words.nothingStated}
          isOpen
          onChange={(chosen) => onChange('features', (one) => ({ ...one, features: [...new Set(chosen.map(nameOf))] }))}
        />
        <ChoicesField
          label={words.endsWith}
          values={owned.endsWith ?? []}
          options={fates.map(({ id, label }) => ({ value: id, label: `${id} ${label}` }))}
          placeholder={words.candidatesThatHaveItThemselves}
          onChange={(ids) =>
            onChange('ends-with', (one) => ({ ...one, endsWith: ids, keptWith: (one.keptWith ?? []).filter((id) => !ids.includes(id)) }))
          }
        />
        <ChoicesField
          label={words.isKeptWith}
          values={owned.keptWith ?? []}
          options={fates.map(({ id, label }) => ({ value: id, label: `${id} ${label}` }))}
          placeholder={words.candidatesWithoutIt}
          onChange={(ids) =>
            onChange('kept-with', (one) => ({ ...one, keptWith: ids, endsWith: (one.endsWith ?? []).filter((id) => !ids.includes(id)) }))
          }
        />
      </div>
      {fates.length > 0 && (
        <p className="quiet">
          {inWords('superfluous') ? words.notNeededWith(inWords('superfluous')) : ''}
          {inWords('goes-on') ? words.goesOnWith(inWords('goes-on')) : ''}
        </p>
      )}
      <Button type="text" size="small" aria-label={words.removeName(name)} onClick={() => onChange('removed', () => null)}>
        {words.remove}
      </Button>
    </section>
  );
}
