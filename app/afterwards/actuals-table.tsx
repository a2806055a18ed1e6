import { ACTUAL_BOUNDS } from '#core/afterwards/actual-figures';
import type { ActualMonth, Actuals } from '#core/decision/actuals-schema';
import type { MonthAgainst } from '#core/afterwards/against-forecast';
import { DataTable } from '../components/data-table';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { reasonsWords } from './afterwards-words';
import { actualsTable as words } from './words';

interface ActualsTableProps {
  readonly months: readonly string[];
  readonly actuals: Actuals;
  readonly against: readonly MonthAgainst[];
  readonly currency: string;
}

const FIGURES = [
  { what: 'orders', name: 'Orders' },
  { what: 'sales', name: 'Sales' },
  { what: 'fees', name: words.feesBySales },
  { what: 'fixed', name: words.plansOther },
  { what: 'surprises', name: 'Surprises' },
] as const;

/** Months as they really went, to be typed, beside what was expected, with the difference explained. */
export function ActualsTable({ months, actuals, against, currency }: ActualsTableProps) {
  const write = useWriter();
  const edits = useEdits();
  const set = (month: string, what: keyof ActualMonth, value: string | null | undefined) =>
    edits.decision(`actuals.${month}.${what}`, words.of(what, write.month(month)), (one) => {
      const { [what]: _former, ...rest } = one.actuals?.[month] ?? {};
      const { [month]: _month, ...others } = one.actuals ?? {};
      const changed = value == null ? rest : { ...rest, [what]: value };
      return { ...one, actuals: Object.keys(changed).length === 0 ? others : { ...others, [month]: changed } };
    });
  return (
    <DataTable
      className="actuals"
      rows={months.map((month) => ({ month, found: against.find((one) => one.month === month) }))}
      keyOf={({ month }) => month}
      belowClass="explained"
      below={({ found }) =>
        found
          ? words.expectedOrdersSalesOfCost({
              orders: write.number(found.expected.orders, 0),
              sales: write.amount(found.expected.sales),
              cost: write.amount(found.expected.cost),
              why: reasonsWords(found.why, write)
                .map((reason) => `; ${reason}`)
                .join(''),
            })
          : null
      }
      columns={[
        { head: words.month, kind: 'names-row', cell: ({ month }) => write.month(month) },
        ...FIGURES.map(({ what, name }) => ({
          key: what,
          head: name,
          kind: 'figures' as const,
          cell: ({ month }: { month: string }) => (
            <NumberField
              fieldKey={`actuals.${month}.${what}`}
              label={`${name}, ${write.month(month)}`}
              labelHidden
              optional
              value={actuals[month]?.[what]}
              range={{ wanted: what === 'orders' ? words.aNumberOfOrders : words.anAmountIn(currency), ...ACTUAL_BOUNDS[what] }}
              onChange={(value) => set(month, what, value)}
            />
          ),
        })),
        {
          head: words.againstForecast,
          kind: 'figures',
          cell: ({ found }) => found?.difference != null && <b>{write.difference(found.difference)}</b>,
        },
      ]}
    />
  );
}
