import type { ProcessorSheet } from '#core/decision/price-sheet';
import type { Processor } from '#core/decision-file/price-sheet-schema';
import { ChoiceField } from '../components/choice-field';
import { useEdits } from '../workbench/use-edits';
import { ChargeRows } from './charge-rows';
import { CURRENCY_OPTIONS } from './currency-options';
import { SheetHead } from './sheet-head';

/** What an outside payment processor charges. */
export function ProcessorSheetForm({ id, sheet }: { id: string; sheet: ProcessorSheet }) {
  const edits = useEdits();
  const { processor } = sheet;
  const change = (key: string, label: string, recipe: (processor: Processor) => Processor) =>
    edits.sheet(id, key, label, (one) => (one.kind === 'processor' ? { ...one, processor: recipe(one.processor) } : one));
  return (
    <>
      <SheetHead id={id} sheet={sheet} label="Payment processor" name={processor.label} onName={(label) => change('label', 'the processor', (one) => ({ ...one, label }))} />
      <div className="sheet-scroll">
        <table className="sheet-table">
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">What is stated</span>
              </th>
              <th scope="col">
                <ChoiceField
                  label="Currency"
                  labelHidden
                  value={processor.currency}
                  options={CURRENCY_OPTIONS}
                  searchable
                  onChange={(currency) => change('currency', 'the currency', (one) => ({ ...one, currency }))}
                />
              </th>
              <th />
            </tr>
          </thead>
          <ChargeRows
            sheets={[processor]}
            onChange={(_id, key, label, recipe) => change(key, label, (one) => ({ ...one, charges: recipe(one.charges) }))}
            onRowLabel={(key, recipe) => change(key, 'the name of a fee', (one) => ({ ...one, charges: recipe(one.charges) }))}
          />
        </table>
      </div>
      <p className="quiet">Its fees count for candidates that take their payments through it: choose that in the line-up.</p>
    </>
  );
}
