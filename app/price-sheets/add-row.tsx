import { memo, useMemo } from 'react';
import { featuresOf, featureWords } from '#core/wording/need-words';
import type { RowKind } from '#core/price-phrase/row-kind';
import { type GridRow, rowOf } from '#core/price-sheet/grid-rows';
import type { Section } from '#core/price-sheet/rows/row-rule';
import { termWords } from '#core/wording/term-words';
import { ChoiceField } from '../components/choice-field';
import { useWorkbench } from '../workbench/workbench-context';
import { useKnownQuantities } from './known-quantities';
import { addRow as texts } from './words/add-row';
import { capital } from '#core/wording/capital';

type Addable = readonly [label: string, kind: RowKind];

const charge = (label: string, bucket: 'payment' | 'transaction' | 'usage', more: object = {}): RowKind => ({
  kind: 'charge',
  label,
  bucket,
  how: 'per-order',
  ...more,
});

const FEES: readonly Addable[] = [
  [texts.cardFeeOnEvery, charge(texts.cardFee, 'payment')],
  [texts.cardFeeDomesticCards, charge(texts.domesticCards, 'payment', { only: { cards: ['domestic'] } })],
  [texts.cardFeeCardsFromAbroad, charge(texts.cardsFromAbroad, 'payment', { only: { cards: ['international'] } })],
  [texts.cardFeeInPerson, charge(texts.cardsInPerson, 'payment', { only: { channels: ['in-person'] } })],
  [texts.thePlatformsOwnShare, charge(texts.salesFee, 'transaction')],
  [texts.surchargeForAnOutside, charge(texts.withAnOutsideProcessor, 'transaction', { only: { payments: 'outside' } })],
  [texts.ordersBeyondAnAllowance, charge(texts.ordersBeyondTheAllowance, 'transaction', { how: 'per-unit' })],
];
const TERMS: readonly Addable[] = [0, 3, 6, 24, 36, 48].map((months) => [termWords(months), { kind: 'term', months }] as const);
const BESIDES: readonly Addable[] = [
  ['trial', { kind: 'trial' }],
  [texts.moneyBack, { kind: 'refund' }],
  [texts.paidOnJoining, { kind: 'joining' }],
  [texts.advertisedSavingByTheYear, { kind: 'saving' }],
];

interface AddRowProps {
  section: Section;
  rows: readonly GridRow[];
  columns: number;
  onAdd(kind: RowKind): void;
}

/** Whether it would offer the same. */
function offersSame(before: AddRowProps, after: AddRowProps): boolean {
  const shown = ({ section, rows, columns }: AddRowProps) => `${section} ${columns} ${rows.map(({ key }) => key).join(' ')}`;
  return shown(before) === shown(after);
}

/** The last line of a section of a price sheet: chooses what else the page states. */
export const AddRow = memo(function AddRow({ section, rows, columns, onAdd }: AddRowProps) {
  const { decision } = useWorkbench().state.workbench;
  const known = useKnownQuantities();
  const addable = useMemo((): readonly Addable[] => {
    const words = (name: string) => name.replaceAll('-', ' ');
    switch (section) {
      case 'price':
        return [...TERMS, ...BESIDES, ...furtherTerms(rows)];
      case 'sale':
        return FEES;
      case 'usage':
        return known
          .filter((name) => name !== 'orders' && name !== 'sales')
          .map((on) => [texts.by(words(on)), { kind: 'charge', label: capital(words(on)), bucket: 'usage', how: 'per-unit', on }] as const);
      case 'extent':
        return [...new Set([...known, 'staff', 'products', 'sites', 'storage'])].map(
          (quantity) => [words(quantity), { kind: 'limit', quantity }] as const,
        );
      case 'features':
        return [...new Set([...(decision.needs ?? []).flatMap(featuresOf), 'uptime', 'own-domain', 'gift-cards'])].map(
          (feature) => [featureWords(feature), { kind: 'feature', feature }] as const,
        );
    }
  }, [section, known, decision.needs, rows]);
  const options = addable.filter(([, kind]) => !rows.some(({ key }) => key === rowOf(kind).key));
  if (options.length === 0) return null;
  return (
    <tr className="add-line">
      <th scope="row">
        <ChoiceField
          label={LABELS[section]}
          labelHidden
          value={undefined}
          placeholder={`+ ${LABELS[section]}`}
          options={options.map(([label]) => ({ value: label, label }))}
          onChange={(value) => {
            const found = options.find(([label]) => label === value);
            if (found) onAdd(found[1]);
          }}
        />
      </th>
      <td colSpan={columns + 1} />
    </tr>
  );
}, offersSame);

/** A second term of the same length, such as one with a trial. */
function furtherTerms(rows: readonly GridRow[]): readonly Addable[] {
  const lengths = new Map<number, number>();
  for (const { kind } of rows) if (kind.kind === 'term') lengths.set(kind.months, (lengths.get(kind.months) ?? 0) + 1);
  return [...lengths].map(([months, nth]) => [texts.anotherWayToPayMonths(termWords(months)), { kind: 'term', months, nth }] as const);
}

const LABELS: Readonly<Record<Section, string>> = {
  price: texts.anotherWayToPay,
  sale: texts.anotherFee,
  usage: texts.aFeeOnUsage,
  extent: texts.aLimit,
  features: texts.aFeature,
};
