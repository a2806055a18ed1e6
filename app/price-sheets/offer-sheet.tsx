import { Button } from 'antd';
import type { OfferSheet } from '#core/decision/price-sheet';
import type { Offer, Plan } from '#core/decision-file/price-sheet-schema';
import { withCopiedPlan, withNewAddon, withPlan } from '#core/price-sheet/edit-offer';
import { ChoiceField } from '../components/choice-field';
import { TextField } from '../components/text-field';
import { CURRENCY_OPTIONS } from './currency-options';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { AddonRows } from './addon-rows';
import { ChargeRows } from './charge-rows';
import { LimitRows, JoiningFeeRow } from './limit-rows';
import { SheetHead } from './sheet-head';
import { TermRows } from './term-rows';

/** A vendor's price sheet: plans as columns, the way pricing pages are laid out. */
export function OfferSheetForm({ id, sheet }: { id: string; sheet: OfferSheet }) {
  const edits = useEdits();
  const { state } = useWorkbench();
  const base = state.bench.decision.currency;
  const { offer } = sheet;
  const change = (key: string, label: string, recipe: (offer: Offer) => Offer) =>
    edits.sheet(id, key, label, (one) => (one.kind === 'offer' ? { ...one, offer: recipe(one.offer) } : one));
  const changePlan = (plan: Plan, key: string, label: string, recipe: (plan: Plan) => Plan) =>
    change(`${plan.id}.${key}`, `${label}, ${plan.label || 'plan'}`, (one) => withPlan(one, plan.id, recipe));
  const columns = offer.plans.length;
  const currency = offer.plans[0]?.currency ?? base;
  return (
    <>
      <SheetHead
        id={id}
        sheet={sheet}
        label="Vendor"
        name={offer.label}
        onName={(name) => change('label', 'the vendor', (one) => ({ ...one, label: name, vendor: name }))}
      />
      <div className="sheet-scroll">
        <table className="sheet-table">
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">What is stated</span>
              </th>
              {offer.plans.map((plan, index) => (
                <th scope="col" key={plan.id}>
                  <TextField
                    className="plan-name"
                    label={`Name of plan ${index + 1}`}
                    labelHidden
                    value={plan.label}
                    placeholder={`plan ${index + 1}`}
                    onChange={(label) => changePlan(plan, 'label', 'the name', (one) => ({ ...one, label }))}
                  />
                  <span className="plan-tools">
                    <ChoiceField
                      label={`Currency of plan ${index + 1}`}
                      labelHidden
                      value={plan.currency}
                      options={CURRENCY_OPTIONS}
                      searchable
                      onChange={(code) => changePlan(plan, 'currency', 'the currency', (one) => ({ ...one, currency: code }))}
                    />
                    {columns > 1 && (
                      <Button
                        type="text"
                        size="small"
                        aria-label={`Remove ${plan.label || `plan ${index + 1}`}`}
                        onClick={() =>
                          change(`${plan.id}.removed`, 'a plan removed', (one) => ({ ...one, plans: one.plans.filter((other) => other.id !== plan.id) }))
                        }
                      >
                        remove
                      </Button>
                    )}
                  </span>
                </th>
              ))}
              <th scope="col" className="add-plan">
                <Button
                  size="small"
                  title="Copies the last plan, so that only what differs has to be typed"
                  onClick={() => change(`plan.${newId()}`, 'a plan added', (one) => withCopiedPlan(one, newId, currency))}
                >
                  + plan
                </Button>
              </th>
            </tr>
          </thead>
          <TermRows plans={offer.plans} onChange={changePlan} />
          <ChargeRows
            sheets={offer.plans}
            onChange={(planId, key, label, recipe) => {
              const plan = offer.plans.find((one) => one.id === planId);
              if (plan) changePlan(plan, key, label, (one) => ({ ...one, charges: recipe(one.charges) }));
            }}
            onRowLabel={(row, recipe) =>
              change(`row.${row}`, 'the name of a fee', (one) => ({
                ...one,
                plans: one.plans.map((plan) => ({ ...plan, charges: recipe(plan.charges) })),
              }))
            }
          />
          <tbody>
            <tr className="section">
              <th colSpan={columns + 2}>On joining, and how far it goes</th>
            </tr>
            <JoiningFeeRow plans={offer.plans} onChange={changePlan} />
            <LimitRows plans={offer.plans} forecast={state.bench.decision.forecast} onChange={changePlan} />
          </tbody>
        </table>
      </div>
      <section className="addons" aria-label="Add-ons">
        <h3>Add-ons of this vendor</h3>
        <AddonRows addons={offer.addons ?? []} onChange={change} />
        <Button size="small" onClick={() => change(`addon.${newId()}`, 'an add-on added', (one) => withNewAddon(one, newId, currency))}>
          + add-on
        </Button>
      </section>
    </>
  );
}
