import { Button } from 'antd';
import type { Extra } from '#core/decision-file/candidate-schema';
import { termWords } from '#core/wording/term-words';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';

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
      <legend>Other costs</legend>
      {extras.map((extra, index) => {
        const lengths = [...new Set([...USUAL, extra.months])];
        return (
          // Extras have no identifier of their own: their place in the list is what tells them apart.
          <div key={index} className="extra">
            <TextField
              label="What"
              labelHidden
              value={extra.label}
              placeholder="theme, domain, plug-in"
              onChange={(label) => set(index, 'label', 'the name of a cost', (one) => ({ ...one, label }))}
            />
            <NumberField
              fieldKey={`${fieldKey}.extra.${index}`}
              label={`Cost of ${extra.label || 'it'}`}
              labelHidden
              value={extra.amount}
              suffix={extra.currency ?? currency}
              range={{ least: 0, most: 1e9, wanted: `an amount in ${extra.currency ?? currency}` }}
              onChange={(amount) => set(index, 'amount', extra.label || 'another cost', (one) => ({ ...one, amount: amount ?? '0' }))}
            />
            <ChoiceField
              label={`How often ${extra.label || 'it'} is paid`}
              labelHidden
              value={String(extra.months)}
              options={lengths.map((months) => ({ value: String(months), label: months === 0 ? 'once' : termWords(months) }))}
              onChange={(months) => set(index, 'months', 'how often a cost is paid', (one) => ({ ...one, months: Number(months) }))}
            />
            <Button
              type="text"
              size="small"
              aria-label={`Remove ${extra.label || 'this cost'}`}
              onClick={() => set(index, 'removed', 'a cost removed', () => null)}
            >
              remove
            </Button>
          </div>
        );
      })}
      <Button
        size="small"
        onClick={() => onChange(`extra.${extras.length}.added`, 'another cost', (all) => [...all, { label: '', amount: '0', months: 0 }])}
      >
        + cost, such as a theme
      </Button>
    </fieldset>
  );
}
