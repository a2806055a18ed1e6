import { levelInUnits, type LevelInUnit } from '#core/what-if/level-in-units';
import type { Pricing } from '#core/pricing/pricing';
import { DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import type { Writer } from '../../locale/writer';
import { unitWords } from './words';
import { unitsTable as words } from './words';

/** The level at which the better one changes, in the unit somebody thinks in: sales, orders, members; a month, a year, in all. */
export function UnitsTable({ pricing, scale }: { pricing: Pricing; scale: number }) {
  const write = useWriter();
  const { currency, months } = pricing.file;
  return (
    <DataTable
      className="units-table"
      label={words.thatLevelInYourUnits}
      rows={levelInUnits(pricing, scale)}
      keyOf={({ unit, label }) => `${unit} ${label}`}
      columns={[
        { key: 'unit', head: words.thereYouSell, kind: 'names-row', cell: (level) => unitWords(level, currency) },
        { key: 'month', head: words.aMonth, kind: 'figures', cell: (level) => figure(level, level.month, write) },
        { key: 'year', head: words.aYear, kind: 'figures', cell: (level) => figure(level, level.year, write) },
        {
          key: 'whole',
          head: words.inAll,
          title: words.inMonths(months),
          kind: 'figures',
          cell: (level) => figure(level, level.whole, write),
        },
      ]}
    />
  );
}

function figure({ unit }: LevelInUnit, amount: string | null, write: Writer): string {
  if (amount === null) return '–';
  return unit === 'sales' ? write.whole(amount) : write.orders(amount);
}
