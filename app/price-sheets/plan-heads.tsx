import { Button, Checkbox } from 'antd';
import { memo } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { Offer } from '#core/decision-file/price-sheet-schema';
import { withCopiedPlan, withNewAddon } from '#core/price-sheet/edit-offer';
import { type Part, withPart } from '#core/price-sheet/parts';
import { ChoiceField } from '../components/choice-field';
import { TextField } from '../components/text-field';
import { newId } from '../workbench/new-id';
import { CURRENCY_OPTIONS } from './currency-options';
import { planHeads as words } from './words/plan-heads';

interface PlanHeadsProps {
  sheet: PriceSheet;
  columns: readonly Part[];
  what: 'plan' | 'add-on';
  onChange(key: string, label: string, change: (sheet: PriceSheet) => PriceSheet): void;
}

/** Whether heads would show the same; changes go to the sheet as it then is, so that older handlers serve as well. */
function showsSame(before: PlanHeadsProps, after: PlanHeadsProps): boolean {
  const shown = ({ sheet, columns, what }: PlanHeadsProps) =>
    JSON.stringify([sheet.kind, what, columns.map(({ id, label, currency, taxExcluded }) => [id, label, currency, taxExcluded])]);
  return shown(before) === shown(after);
}

/** The columns' names and currencies; plans are copied to the right and taken away here. */
export const PlanHeads = memo(function PlanHeads({ sheet, columns, what, onChange }: PlanHeadsProps) {
  const isOffer = sheet.kind === 'offer';
  const changeOffer = (key: string, label: string, recipe: (offer: Offer) => Offer) =>
    onChange(key, label, (one) => (one.kind === 'offer' ? { ...one, offer: recipe(one.offer) } : one));
  const currency = columns[0]?.currency ?? (isOffer ? sheet.offer.plans[0]?.currency : undefined) ?? 'EUR';
  return (
    <thead>
      <tr>
        <th scope="col">
          <span className="visually-hidden">{words.whatIsStated}</span>
        </th>
        {columns.map((part, index) => (
          <th scope="col" key={part.id}>
            {isOffer && (
              <TextField
                className="plan-name"
                label={words.nameOf(what, index + 1)}
                labelHidden
                value={part.label}
                placeholder={`${what} ${index + 1}`}
                onChange={(label) =>
                  onChange(`${part.id}.label`, words.theName, (one) => withPart(one, part.id, (found) => ({ ...found, label })))
                }
              />
            )}
            <span className="plan-tools">
              <ChoiceField
                label={words.currencyOf(part.label || `${what} ${index + 1}`)}
                labelHidden
                value={part.currency}
                options={CURRENCY_OPTIONS}
                searchable
                onChange={(code) =>
                  onChange(`${part.id}.currency`, words.theCurrency, (one) =>
                    withPart(one, part.id, (found) => ({ ...found, currency: code })),
                  )
                }
              />
              <Checkbox
                className="plan-tax"
                checked={part.taxExcluded === true}
                onChange={({ target }) =>
                  onChange(`${part.id}.tax`, words.whetherTaxIsInThePrices, (one) =>
                    withPart(one, part.id, (found) => ({ ...found, taxExcluded: target.checked })),
                  )
                }
              >
                {words.plusTax}
              </Checkbox>
              {isOffer && what === 'plan' && (
                <Button
                  type="text"
                  size="small"
                  title={words.copiesItToTheRight}
                  aria-label={words.copyToTheRight(part.label || words.plan(index + 1))}
                  onClick={() => changeOffer(`plan.${newId()}`, words.aPlanCopied, (one) => withCopiedPlan(one, newId, currency, part.id))}
                >
                  {words.copy}
                </Button>
              )}
              {isOffer && (what === 'add-on' || columns.length > 1) && (
                <Button
                  type="text"
                  size="small"
                  aria-label={words.removePart(part.label || `${what} ${index + 1}`)}
                  onClick={() =>
                    changeOffer(`${part.id}.removed`, words.removed(part.label || words.the(what)), ({ plans, addons, ...one }) => ({
                      ...one,
                      plans: plans.filter(({ id }) => id !== part.id),
                      ...(addons ? { addons: addons.filter(({ id }) => id !== part.id) } : {}),
                    }))
                  }
                >
                  {words.remove}
                </Button>
              )}
            </span>
          </th>
        ))}
        <th scope="col" className="add-plan">
          {isOffer && (
            <Button
              size="small"
              onClick={() =>
                what === 'plan'
                  ? changeOffer(`plan.${newId()}`, words.aPlanAdded, (one) => ({
                      ...one,
                      plans: [...one.plans, { id: newId(), label: '', currency, terms: [] }],
                    }))
                  : changeOffer(`addon.${newId()}`, words.anAddOnAdded, (one) => withNewAddon(one, newId, currency))
              }
            >
              + {what}
            </Button>
          )}
        </th>
      </tr>
    </thead>
  );
}, showsSame);
