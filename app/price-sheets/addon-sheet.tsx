import type { PriceSheet } from '#core/decision/price-sheet';
import { withTermPrice } from '#core/price-sheet/edit-offer';
import { termWords } from '#core/price-sheet/term-words';
import { NumberField } from '../components/number-field';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { SheetHead } from './sheet-head';

const TERMS = [1, 12, 0];

/** An add-on sold by somebody else than the platform. */
export function AddonSheet({ id, sheet }: { id: string; sheet: Extract<PriceSheet, { kind: 'addon' }> }) {
  const edits = useEdits();
  const { addon } = sheet;
  const change = (key: string, label: string, recipe: (one: typeof addon) => typeof addon) =>
    edits.sheet(id, key, label, (one) => (one.kind === 'addon' ? { ...one, addon: recipe(one.addon) } : one));
  return (
    <>
      <SheetHead id={id} sheet={sheet} label="Add-on" name={addon.label} onName={(label) => change('label', 'the add-on', (one) => ({ ...one, label }))} />
      <div className="form-grid">
        {TERMS.map((months) => (
          <NumberField
            key={months}
            fieldKey={`${addon.id}.term.${months}`}
            label={`Price ${termWords(months)}`}
            optional
            mayBeUnknown
            suffix={addon.currency}
            value={addon.terms?.find((term) => term.months === months)?.price}
            range={{ least: 0, most: 1e9, wanted: `an amount in ${addon.currency}, or “?” for not known` }}
            onChange={(price) => change(`term.${months}`, `price ${termWords(months)}`, (one) => ({ ...one, terms: withTermPrice(one.terms ?? [], months, price, newId) }))}
          />
        ))}
      </div>
    </>
  );
}
