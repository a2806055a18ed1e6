import type { GridRow } from '#core/price-sheet/grid-rows';
import { type ChargeRowFields, withOnly } from '#core/price-sheet/edit-charge-row';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { TextField } from '../components/text-field';
import { useWorkbench } from '../workbench/workbench-context';
import { channelWords } from '#core/wording/channel-words';
import { paidWith } from '#core/wording/paid-with';
import { useKnownQuantities } from './known-quantities';

const BUCKETS: ReadonlyArray<{ value: NonNullable<ChargeRowFields['bucket']>; label: string }> = [
  { value: 'payment', label: 'fee for payments' },
  { value: 'transaction', label: 'the platform’s fee' },
  { value: 'usage', label: 'fee for usage' },
  { value: 'addon', label: 'fee of an add-on' },
];
const PAYMENTS: ReadonlyArray<{ value: 'any' | 'own' | 'outside'; label: string }> = [
  { value: 'any', label: 'however it is paid' },
  { value: 'own', label: 'with the platform’s own payments' },
  { value: 'outside', label: 'with an outside processor' },
];
const KINDS = [
  { value: 'goods', label: 'goods' },
  { value: 'digital', label: 'downloads and courses' },
  { value: 'service', label: 'services' },
  { value: 'subscription', label: 'subscriptions' },
];
const words = (name: string) => ({ value: name, label: name.replaceAll('-', ' ') });

interface ChargeRowFormProps {
  row: GridRow;
  onChange(field: string, fields: ChargeRowFields): void;
}

/** What a row of fees is: its name, whose fee it is, what it counts and which orders. */
export function ChargeRowForm({ row, onChange }: ChargeRowFormProps) {
  const { forecast } = useWorkbench().state.workbench.decision;
  const known = useKnownQuantities();
  if (row.kind.kind !== 'charge') return null;
  const { label, bucket, on = 'orders', only, how } = row.kind;
  const cards = [
    ...new Set([
      'domestic',
      'international',
      ...forecast.streams.flatMap((stream) => Object.keys(stream.cards ?? {})),
      ...(only?.cards ?? []),
    ]),
  ];
  const channels = [...new Set(['own-site', 'in-person', 'marketplace', ...forecast.streams.flatMap(({ channel }) => channel ?? [])])];
  const quantities = [...new Set([...known, on])];
  return (
    <section className="row-form" aria-label="This fee">
      <h3>This fee</h3>
      <TextField label="Its name" value={label} onChange={(next) => onChange('label', { label: next })} />
      <ChoiceField label="Whose fee" value={bucket} options={BUCKETS} onChange={(next) => onChange('bucket', { bucket: next })} />
      {how !== 'per-order' && (
        <ChoiceField
          label="What is counted"
          value={on}
          options={quantities.map(words)}
          searchable
          onChange={(next) => onChange('on', { on: next })}
        />
      )}
      <ChoiceField
        label="Which orders"
        value={only?.payments ?? 'any'}
        options={PAYMENTS}
        onChange={(next) => {
          const { payments: _former, ...others } = only ?? {};
          onChange('payments', { only: next === 'any' ? others : { ...others, payments: next } });
        }}
      />
      <ChoicesField
        label="Paid with"
        values={only?.cards ?? []}
        options={cards.map((kind) => ({ value: kind, label: paidWith(kind) }))}
        placeholder="all"
        onChange={(names) => onChange('cards', { only: withOnly(only, 'cards', names) })}
      />
      <ChoicesField
        label="Where it is sold"
        values={only?.channels ?? []}
        options={channels.map((channel) => ({ value: channel, label: channelWords(channel) }))}
        placeholder="everywhere"
        onChange={(names) => onChange('channels', { only: withOnly(only, 'channels', names) })}
      />
      <ChoicesField
        label="What is sold"
        values={only?.kinds ?? []}
        options={KINDS}
        placeholder="everything"
        onChange={(names) => onChange('kinds', { only: withOnly(only, 'kinds', names) })}
      />
      {forecast.streams.length > 1 && (
        <ChoicesField
          label="Streams"
          values={only?.streams ?? []}
          options={forecast.streams.map((stream) => ({ value: stream.id, label: stream.label || stream.id }))}
          placeholder="all"
          onChange={(names) => onChange('streams', { only: withOnly(only, 'streams', names) })}
        />
      )}
    </section>
  );
}
