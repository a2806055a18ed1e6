import { Button } from 'antd';
import type { Extra } from '#core/decision-file/candidate-schema';
import { termWords } from '#core/wording/term-words';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { extraFields as words } from './words/extra-fields';

const USUAL = [0, 1, 12];

interface ExtraFieldsProps {
  extras: readonly Extra[];
  /** Unique in the decision; texts that cannot be read are kept under it. */
  fieldKey: string;
  currency: string;
  onChange(key: string, label: string, change: (extras: readonly Extra[]) => Extra[]): void;
}

/** Further costs of a candidate, or of all that is proposed for a vendor: a theme, plug-ins, a domain. */
export function ExtraFields({ extras, fieldKey, currency, onChange }: ExtraFieldsProps) {
  const set = (index: number, key: string, label: string, change: (extra: Extra) => Extra | null) =>
    onChange(`extra.${index}.${key}`, label, (all) =>
      all.flatMap((extra, at) => {
        const changed = at === index ? change(extra) : extra;
        return changed ? [changed] : [];
      }),
    );
  return (
    <fieldset className="extra-fields">
      <legend>{words.otherCosts}</legend>
      {extras.map((extra, index) => {
        const lengths = [...new Set([...USUAL, extra.months])];
        return (
          // Extras have no identifier of their own: their place in the list is what tells them apart.
          <div key={index} className="extra">
            <TextField
              label={words.what}
              labelHidden
              value={extra.label}
              placeholder={words.themeDomainPlugIn}
              onChange={(label) => set(index, 'label', words.theNameOfACost, (one) => ({ ...one, label }))}
            />
            <NumberField
              fieldKey={`${fieldKey}.extra.${index}`}
              label={words.costOf(extra.label || words.it)}
              labelHidden
              value={extra.amount}
              suffix={extra.currency ?? currency}
              range={{ least: 0, most: 1e9, wanted: words.anAmountIn(extra.currency ?? currency) }}
              onChange={(amount) => set(index, 'amount', extra.label || words.anotherCost, (one) => ({ ...one, amount: amount ?? '0' }))}
            />
            <ChoiceField
              label={words.howOftenIsPaid(extra.label || words.it)}
              labelHidden
              value={String(extra.months)}
              options={lengths.map((months) => ({ value: String(months), label: months === 0 ? words.once : termWords(months) }))}
              onChange={(months) => set(index, 'months', words.howOftenACostIsPaid, (one) => ({ ...one, months: Number(months) }))}
            />
            <Button
              type="text"
              size="small"
              aria-label={words.removeExtra(extra.label || words.thisCost)}
              onClick={() => set(index, 'removed', words.aCostRemoved, () => null)}
            >
              {words.remove}
            </Button>
          </div>
        );
      })}
      <Button
        size="small"
        onClick={() =>
          onChange(`extra.${extras.length}.added`, words.anotherCost, (all) => [...all, { label: '', amount: '0', months: 0 }])
        }
      >
        {words.costSuchAsATheme}
      </Button>
    </fieldset>
  );
}
