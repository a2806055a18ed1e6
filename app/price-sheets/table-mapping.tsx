import { useMemo } from 'react';
import type { RowKind } from '#core/price-phrase/row-kind';
import { quantityOf, slugOf } from '#core/price-phrase/vocabulary';
import { rowOf } from '#core/price-sheet/grid-rows';
import type { Table } from '#core/sheet-import/table';
import { type LineMeaning, linesOf, type TableMapping } from '#core/sheet-import/table-mapping';
import { ChoiceField } from '../components/choice-field';
import { DataTable } from '../components/data-table';
import { useKnownQuantities } from './known-quantities';
import { tableMapping as words } from './words/table-mapping';

interface TableMappingFormProps {
  table: Table;
  mapping: TableMapping;
  onChange(mapping: TableMapping): void;
}

const charge = (label: string, bucket: 'payment' | 'transaction', only?: object): RowKind => ({
  kind: 'charge',
  label,
  bucket,
  ...(only ? { only } : {}),
});
const USUAL: readonly RowKind[] = [
  ...[1, 3, 6, 12, 24, 36, 0].map((months): RowKind => ({ kind: 'term', months })),
  charge(words.cardFee, 'payment'),
  charge(words.cardsFromAbroad, 'payment', { cards: ['international'] }),
  charge(words.salesFee, 'transaction'),
  charge(words.withAnOutsideProcessor, 'transaction', { payments: 'outside' }),
  { kind: 'joining' },
  { kind: 'trial' },
  { kind: 'refund' },
  { kind: 'saving' },
];

/** What each line of a pasted table means; everything is suggested, and can be changed. */
export function TableMappingForm({ table, mapping, onChange }: TableMappingFormProps) {
  const known = useKnownQuantities();
  const lines = linesOf(table, mapping.plans);
  const change = (at: number, meaning: LineMeaning) =>
    onChange({ ...mapping, lines: mapping.lines.map((line, index) => (index === at ? meaning : line)) });
  const swapped = mapping.plans === 'across' ? ('down' as const) : ('across' as const);
  return (
    <div className="mapping">
      <div className="mapping-head">
        <ChoiceField
          label={words.plansStand}
          value={mapping.plans}
          options={[
            { value: 'across', label: words.besideEachOther },
            { value: 'down', label: words.belowEachOther },
          ]}
          onChange={() =>
            onChange({
              plans: swapped,
              header: 0,
              lines: linesOf(table, swapped).map((_, index) => (index === 0 ? { kind: 'ignore' } : { kind: 'words' })),
            })
          }
        />
        <ChoiceField
          label={words.theirNamesAreIn}
          value={String(mapping.header)}
          options={[
            { value: '-1', label: words.noLine },
            ...lines
              .slice(0, 5)
              .map((line, index) => ({ value: String(index), label: words.line(index + 1, line.slice(1, 4).join(', ')) })),
          ]}
          onChange={(header) => onChange({ ...mapping, header: Number(header) })}
        />
      </div>
      <DataTable
        columns={[
          { key: 'line', head: null, kind: 'names-row', cell: ([head]) => head },
          {
            key: 'meaning',
            head: null,
            cell: ([head = ''], index) =>
              index === mapping.header ? (
                <span className="quiet">{words.thePlansNames}</span>
              ) : (
                <Meaning
                  head={head}
                  meaning={mapping.lines[index] ?? { kind: 'ignore' }}
                  known={known}
                  onChange={(meaning) => change(index, meaning)}
                />
              ),
          },
          ...(lines[0] ?? [])
            .slice(1)
            .map((_, column) => ({ key: column, head: null, cell: (line: readonly string[]) => line[column + 1] })),
        ]}
        rows={lines}
        keyOf={(line) => lines.indexOf(line)}
        rowClass={(line) => lineClass(mapping, lines.indexOf(line))}
        hideHead
        hasOwnLook
        frame="mapping-scroll"
      />
    </div>
  );
}

function Meaning({
  head,
  meaning,
  known,
  onChange,
}: {
  head: string;
  meaning: LineMeaning;
  known: readonly string[];
  onChange(meaning: LineMeaning): void;
}) {
  const choices = useMemo(() => {
    const own: RowKind[] =
      head === ''
        ? []
        : [
            { kind: 'limit', quantity: quantityOf(head.toLowerCase(), known) },
            { kind: 'feature', feature: slugOf(head) },
          ];
    const rows = [
      ...(meaning.kind === 'row' ? [meaning.row] : []),
      ...own,
      ...USUAL,
      ...known.map((quantity): RowKind => ({ kind: 'limit', quantity })),
    ];
    return new Map(rows.map((row) => [rowOf(row).key, row]));
  }, [head, meaning, known]);
  const value = meaning.kind === 'row' ? rowOf(meaning.row).key : meaning.kind;
  return (
    <ChoiceField
      label={words.whatMeans(head)}
      labelHidden
      searchable
      value={value}
      options={[
        { value: 'ignore', label: words.leaveItOut },
        { value: 'words', label: words.asItIsWritten },
        ...[...choices].map(([key, row]) => ({ value: key, label: meaningWords(row) })),
      ]}
      onChange={(key) => {
        const row = choices.get(key);
        onChange(row ? { kind: 'row', row } : { kind: key === 'words' ? 'words' : 'ignore' });
      }}
    />
  );
}

function meaningWords(row: RowKind): string {
  const { title, note } = rowOf(row);
  if (row.kind === 'limit') return words.limitOf(title.toLowerCase());
  if (row.kind === 'feature') return words.featureNamed(title.toLowerCase());
  return row.kind === 'charge' ? `${title} (${note})` : title;
}

function lineClass({ header, lines }: TableMapping, index: number): string {
  if (index === header) return 'is-header';
  return lines[index]?.kind === 'ignore' ? 'is-ignored' : '';
}
