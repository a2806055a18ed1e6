import type { GridRow } from '#core/price-sheet/grid-rows';
import { type ChargeRowFields, withOnly } from '#core/price-sheet/edit-charge-row';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { TextField } from '../components/text-field';
import { useWorkbench } from '../workbench/workbench-context';
import { channelWords } from '#core/wording/channel-words';
import { paidWith } from '#core/wording/paid-with';
import { useKnownQuantities } from './known-quantities';
import { chargeRowForm as texts } from './words/charge-row-form';

const BUCKETS: ReadonlyArray<{ value: NonNullable<ChargeRowFields['bucket']>; label: string }> = [
  { value: 'payment', label: texts.feeForPayments },
  { value: 'transaction', label: texts.thePlatformsFee },
  { value: 'usage', label: texts.feeForUsage },
  { value: 'addon', label: texts.feeOfAnAdd },
];
const PAYMENTS: ReadonlyArray<{ value: 'any' | 'own' | 'outside'; label: string }> = [
  { value: 'any', label: texts.howeverItIsPaid },
  { value: 'own', label: texts.withThePlatformsOwn },
  { value: 'outside', label: texts.withAnOutsideProcessor },
];
const KINDS = [
  { value: 'goods', label: texts.goods },
  { value: 'digital', label: texts.downloadsAndCourses },
  { value: 'service', label: texts.services },
  { value: 'subscription', label: texts.subscriptions },
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
    <section className="row-form" aria-label={texts.thisFee}>
      <h3>{texts.thisFee}</h3>
      <TextField label={texts.itsName} value={label} onChange={(next) => onChange('label', { label: next })} />
      <ChoiceField label={texts.whoseFee} value={bucket} options={BUCKETS} onChange={(next) => onChange('bucket', { bucket: next })} />
      {how !== 'per-order' && (
        <ChoiceField
          label={texts.whatIsCounted}
          value={on}
          options={quantities.map(words)}
          searchable
          onChange={(next) => onChange('on', { on: next })}
        />
      )}
      <ChoiceField
        label={texts.whichOrders}
        value={only?.payments ?? 'any'}
        options={PAYMENTS}
        onChange={(next) => {
          const { payments: _former, ...others } = only ?? {};
          onChange('payments', { only: next === 'any' ? others : { ...others, payments: next } });
        }}
      />
      <ChoicesField
        label={texts.paidWith}
        values={only?.cards ?? []}
        options={cards.map((kind) => ({ value: kind, label: paidWith(kind) }))}
        placeholder={texts.all}
        onChange={(names) => onChange('cards', { only: withOnly(only, 'cards', names) })}
      />
      <ChoicesField
        label={texts.whereItIsSold}
        values={only?.channels ?? []}
        options={channels.map((channel) => ({ value: channel, label: channelWords(channel) }))}
        placeholder={texts.everywhere}
        onChange={(names) => onChange('channels', { only: withOnly(only, 'channels', names) })}
      />
      <ChoicesField
        label={texts.whatIsSold}
        values={only?.kinds ?? []}
        options={KINDS}
        placeholder={texts.everything}
        onChange={(names) => onChange('kinds', { only: withOnly(only, 'kinds', names) })}
      />
      {forecast.streams.length > 1 && (
        <ChoicesField
          label={texts.streams}
          values={only?.streams ?? []}
          options={forecast.streams.map((stream) => ({ value: stream.id, label: stream.label || stream.id }))}
          placeholder={texts.all}
          onChange={(names) => onChange('streams', { only: withOnly(only, 'streams', names) })}
        />
      )}
    </section>
  );
}
