import { Button } from 'antd';
import type { Addon, Offer } from '#core/decision-file/price-sheet-schema';
import { withAddon, withTermPrice } from '#core/price-sheet/edit-offer';
import { termWords } from '#core/price-sheet/term-words';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { newId } from '../workbench/new-id';

const TERMS = [1, 12, 0];

interface AddonRowsProps {
  addons: readonly Addon[];
  onChange(key: string, label: string, recipe: (offer: Offer) => Offer): void;
}

/** A vendor's add-ons, a row each; candidates take them in the line-up. */
export function AddonRows({ addons, onChange }: AddonRowsProps) {
  if (addons.length === 0) return <p className="quiet">None yet. An add-on is counted for a candidate once the candidate takes it.</p>;
  return (
    <table className="sheet-table addon-table">
      <thead>
        <tr>
          <th scope="col">Add-on</th>
          {TERMS.map((months) => (
            <th key={months} scope="col">
              {termWords(months)}
            </th>
          ))}
          <th scope="col">
            <span className="visually-hidden">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {addons.map((addon) => {
          const name = addon.label || 'this add-on';
          const change = (key: string, label: string, recipe: (addon: Addon) => Addon | null) =>
            onChange(`${addon.id}.${key}`, `${label}, ${name}`, (offer) => withAddon(offer, addon.id, recipe));
          return (
            <tr key={addon.id}>
              <th scope="row">
                <TextField label="Name of the add-on" labelHidden value={addon.label} placeholder="what it is" onChange={(label) => change('label', 'the name', (one) => ({ ...one, label }))} />
              </th>
              {TERMS.map((months) => (
                <td key={months}>
                  <NumberField
                    fieldKey={`${addon.id}.term.${months}`}
                    label={`${name}, ${termWords(months)}`}
                    labelHidden
                    optional
                    mayBeUnknown
                    value={addon.terms?.find((term) => term.months === months)?.price}
                    placeholder="–"
                    range={{ least: 0, most: 1e9, wanted: `an amount in ${addon.currency}, or “?” for not known` }}
                    onChange={(price) => change(`term.${months}`, 'price', (one) => ({ ...one, terms: withTermPrice(one.terms ?? [], months, price, newId) }))}
                  />
                </td>
              ))}
              <td>
                <Button type="text" size="small" aria-label={`Remove ${name}`} onClick={() => change('removed', 'removed', () => null)}>
                  remove
                </Button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
