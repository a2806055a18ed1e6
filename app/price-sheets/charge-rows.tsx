import { useState } from 'react';
import type { Charge } from '#core/decision-file/price-sheet-schema';
import { type ChargeAmounts, chargeInRow, type ChargeRow, chargeRowOf, chargeRows, withChargeAmounts } from '#core/price-sheet/charge-rows';
import { countedWords, narrowedWords, rateWords } from '#core/price-sheet/rate-words';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { AddRow } from './add-row';

/** What has charges: a plan, a processor or an add-on. */
interface Charged {
  readonly id: string;
  readonly label: string;
  readonly currency: string;
  readonly charges?: Charge[] | undefined;
}

type Recipe = (charges: Charge[] | undefined) => Charge[];

interface ChargeRowsProps {
  sheets: readonly Charged[];
  onChange(id: string, key: string, label: string, recipe: Recipe): void;
  /** Renames a row in every column. */
  onRowLabel(key: string, recipe: Recipe): void;
}

const rowOf = (label: string, how: 'per-order' | 'per-unit', bucket: ChargeRow['bucket'], only?: ChargeRow['only']): ChargeRow =>
  chargeRowOf({ id: '', label, how, bucket, ...(only ? { only } : {}) });

const CARD_FEE = rowOf('Card fee', 'per-order', 'payment');
const SALES_FEE = rowOf('Sales fee', 'per-order', 'transaction');

/** Fees that can be added as a row, by what a pricing page calls them. */
const FEES: ReadonlyArray<{ value: string; label: string; row: ChargeRow }> = [
  { value: 'card', label: 'card fee on every order', row: CARD_FEE },
  { value: 'domestic', label: 'card fee, domestic cards', row: rowOf('Domestic cards', 'per-order', 'payment', { cards: ['domestic'] }) },
  { value: 'abroad', label: 'card fee, cards from abroad', row: rowOf('Cards from abroad', 'per-order', 'payment', { cards: ['international'] }) },
  { value: 'sales', label: 'the platform’s own share of every order', row: SALES_FEE },
  { value: 'outside', label: 'surcharge for an outside processor', row: rowOf('With an outside processor', 'per-order', 'transaction', { payments: 'outside' }) },
  { value: 'beyond', label: 'fee for orders beyond an allowance', row: rowOf('Orders beyond the allowance', 'per-unit', 'transaction') },
];

/** What each sale costs, a row for each fee. */
export function ChargeRows({ sheets, onChange, onRowLabel }: ChargeRowsProps) {
  const [asked, setAsked] = useState<readonly ChargeRow[]>([]);
  const stated = chargeRows(sheets);
  const has = (bucket: ChargeRow['bucket']) => stated.some((row) => row.bucket === bucket);
  const starters = [...(has('payment') ? [] : [CARD_FEE]), ...(has('transaction') ? [] : [SALES_FEE])];
  const rows = [...stated, ...[...starters, ...asked].filter((row, index, all) => !stated.some(({ key }) => key === row.key) && all.findIndex(({ key }) => key === row.key) === index)];
  const addable = FEES.filter(({ row }) => !rows.some(({ key }) => key === row.key));
  return (
    <tbody>
      <tr className="section">
        <th colSpan={sheets.length + 2}>What each sale costs</th>
      </tr>
      {rows.map((row, index) => (
        <tr key={stated.includes(row) ? `stated ${index}` : row.key}>
          <th scope="row">
            <RowLabel row={row} isStated={stated.includes(row)} onRowLabel={onRowLabel} />
          </th>
          {sheets.map((sheet) => (
            <td key={sheet.id}>
              <ChargeCell sheet={sheet} row={row} onChange={onChange} />
            </td>
          ))}
          <td />
        </tr>
      ))}
      <AddRow
        label="Another fee"
        placeholder="+ another fee"
        options={addable.map(({ value, label }) => ({ value, label }))}
        columns={sheets.length}
        onAdd={(value) => {
          const fee = FEES.find((one) => one.value === value);
          if (fee) setAsked([...asked, fee.row]);
        }}
      />
    </tbody>
  );
}

function RowLabel({ row, isStated, onRowLabel }: { row: ChargeRow; isStated: boolean; onRowLabel: ChargeRowsProps['onRowLabel'] }) {
  const example = { id: '', label: row.label, how: 'per-order' as const, ...(row.only ? { only: row.only } : {}) };
  const kind = row.bucket === 'payment' ? 'payment fee' : row.how === 'per-order' ? 'platform’s fee' : '';
  const note = [row.how === 'per-order' ? 'per order' : countedWords({ id: '', label: '', how: 'per-unit', on: row.on }), kind, narrowedWords(example)].filter(Boolean).join(', ');
  return (
    <>
      {isStated ? (
        <TextField
          label="Name of the fee"
          labelHidden
          className="row-name"
          value={row.label}
          onChange={(label) =>
            onRowLabel('label', (charges) => (charges ?? []).map((charge) => (chargeRowOf(charge).key === row.key ? { ...charge, label } : charge)))
          }
        />
      ) : (
        row.label
      )}
      <small>{note}</small>
    </>
  );
}

function ChargeCell({ sheet, row, onChange }: { sheet: Charged; row: ChargeRow; onChange: ChargeRowsProps['onChange'] }) {
  const write = useWriter();
  const charge = chargeInRow(sheet.charges, row);
  if (row.how !== 'per-order' && row.how !== 'per-unit')
    return charge ? <span className="rate-words">{rateWords(charge, (decimal) => write.number(decimal))}</span> : <span className="quiet">–</span>;
  const of = charge && (charge.how === 'per-order' || charge.how === 'per-unit') ? charge : undefined;
  const name = `${sheet.label || 'this plan'}, ${row.label}`;
  const set = (field: string, amounts: ChargeAmounts) =>
    onChange(sheet.id, `charge.${row.key}.${field}`, row.label, (charges) => withChargeAmounts(charges, row, amounts, newId));
  const key = `${sheet.id}.charge.${row.key}`;
  const isFixedAllowance = of?.free === undefined || typeof of.free === 'string' || of.free === null;
  return (
    <span className="charge-cell">
      {row.how === 'per-order' && (
        <>
          <NumberField
            fieldKey={`${key}.percent`}
            label={`${name}, percent of the order`}
            labelHidden
            optional
            mayBeUnknown
            value={of?.percent}
            suffix="%"
            placeholder="–"
            range={{ least: 0, most: 100, wanted: 'a percentage from 0 to 100, or “?” for not known' }}
            onChange={(percent) => set('percent', { percent })}
          />
          <span className="plus">+</span>
        </>
      )}
      <NumberField
        fieldKey={`${key}.each`}
        label={`${name}, fixed amount`}
        labelHidden
        optional
        mayBeUnknown
        value={of?.each}
        placeholder="–"
        range={{ least: 0, most: 1e9, wanted: `an amount in ${sheet.currency}, or “?” for not known` }}
        onChange={(each) => set('each', { each })}
      />
      {row.how === 'per-unit' &&
        (isFixedAllowance ? (
          <>
            <span className="plus">each after</span>
            <NumberField
              fieldKey={`${key}.free`}
              label={`${name}, included each month`}
              labelHidden
              optional
              mayBeUnknown
              value={of?.free as string | null | undefined}
              placeholder="0"
              range={{ least: 0, most: 1e12, wanted: 'how many are included a month' }}
              onChange={(free) => set('free', { free })}
            />
          </>
        ) : (
          of && <small>{rateWords(of, (decimal) => write.number(decimal))}</small>
        ))}
    </span>
  );
}
