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

const RHYTHMS = [
  { value: '1', label: 'a month' },
  { value: '12', label: 'a year' },
  { value: '0', label: 'paid once, for good' },
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
    edits.decision(`owned.${id}.${field}`, 'what you own', (one) => withOwnedChanged(one, id, recipe));
  return (
    <>
      <h2>What you have already</h2>
      <p className="quiet">
        A mailing tool until June, a domain, a theme: it counts as met, and as a cost that goes on, or ends where a candidate does the same.
      </p>
      {owned.map((one) => (
        <OwnedForm key={one.id} owned={one} onChange={(field, recipe) => change(one.id, field, recipe)} />
      ))}
      <p>
        <Button
          onClick={() =>
            edits.decision(`owned.${newId()}`, 'something owned', (one) => ({
              ...one,
              owned: [...(one.owned ?? []), { id: newId(), label: '', features: [], amount: '0', months: 1 }],
            }))
          }
        >
          Something you have or pay for
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
          label="What it is"
          value={owned.label}
          placeholder="mailing tool"
          autoFocus={owned.label === ''}
          onChange={(label) => onChange('label', (one) => ({ ...one, label }))}
        />
        <ChoiceField
          label="Paid"
          value={String(owned.months)}
          options={
            RHYTHMS.some(({ value }) => value === String(owned.months))
              ? RHYTHMS
              : [...RHYTHMS, { value: String(owned.months), label: `every ${owned.months} months` }]
          }
          onChange={(every) => onChange('months', (one) => ({ ...one, months: Number(every) }))}
        />
        {owned.months > 0 && (
          <>
            <NumberField
              fieldKey={`owned.${owned.id}.amount`}
              label="Each payment"
              suffix={owned.currency ?? decision.currency}
              value={owned.amount}
              range={{ least: 0, most: 1e9, wanted: `an amount in ${owned.currency ?? decision.currency}` }}
              onChange={(amount) => onChange('amount', (one) => ({ ...one, amount: amount ?? '0' }))}
            />
            <ChoiceField
              label="Paid already until the end of"
              value={owned.paidUntil ?? ''}
              options={[
                { value: '', label: 'nothing: the next payment is due' },
                ...paid.map((month) => ({ value: month, label: write.month(month) })),
              ]}
              onChange={(month) =>
                onChange('paid-until', ({ paidUntil: _former, ...one }) => (month === '' ? one : { ...one, paidUntil: month }))
              }
            />
          </>
        )}
        <ChoicesField
          label="What it is there for"
          values={owned.features}
          options={features.map((feature) => ({ value: feature, label: feature.replaceAll('-', ' ') }))}
          placeholder="nothing stated"
          isOpen
          onChange={(chosen) => onChange('features', (one) => ({ ...one, features: [...new Set(chosen.map(nameOf))] }))}
        />
        <ChoicesField
          label="Ends with"
          values={owned.endsWith ?? []}
          options={fates.map(({ id, label }) => ({ value: id, label: `${id} ${label}` }))}
          placeholder="candidates that have it themselves"
          onChange={(ids) =>
            onChange('ends-with', (one) => ({ ...one, endsWith: ids, keptWith: (one.keptWith ?? []).filter((id) => !ids.includes(id)) }))
          }
        />
        <ChoicesField
          label="Is kept with"
          values={owned.keptWith ?? []}
          options={fates.map(({ id, label }) => ({ value: id, label: `${id} ${label}` }))}
          placeholder="candidates without it"
          onChange={(ids) =>
            onChange('kept-with', (one) => ({ ...one, keptWith: ids, endsWith: (one.endsWith ?? []).filter((id) => !ids.includes(id)) }))
          }
        />
      </div>
      {fates.length > 0 && (
        <p className="quiet">
          {inWords('superfluous') ? `Not needed with ${inWords('superfluous')}. ` : ''}
          {inWords('goes-on') ? `Goes on with ${inWords('goes-on')}.` : ''}
        </p>
      )}
      <Button type="text" size="small" aria-label={`Remove ${name}`} onClick={() => onChange('removed', () => null)}>
        remove
      </Button>
    </section>
  );
}
