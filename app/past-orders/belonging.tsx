import type { PastOrdersOf } from '#core/decision/past-orders-schema';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import type { PastOrdersAnswer } from '../../workers/past-orders';

const LEFT_OUT = 'left out';

/** Which stream the orders of each place of selling are taken for, and whose cards are domestic. */
export function Belonging({ own }: Pick<PastOrdersAnswer, 'own'>) {
  const { forecast } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const write = useWriter();
  const change = (label: string, next: (before: PastOrdersOf) => PastOrdersOf) =>
    edits.decision('past-orders', label, (one) => ({ ...one, pastOrders: next(one.pastOrders ?? {}) }));
  const streams = [
    ...forecast.streams.map(({ id, label }) => ({ value: id, label: label || 'a stream without a name' })),
    { value: LEFT_OUT, label: 'left out' },
  ];
  const orders = (many: number) => `${write.number(String(many))} ${many === 1 ? 'order' : 'orders'}`;
  return (
    <section aria-label="What they are taken for" className="form-grid">
      {own.channels.map(({ name, orders: many, stream }) => (
        <ChoiceField
          key={name}
          label={`${name === '' ? 'Sold without saying where' : `“${name}”`}: ${orders(many)}, taken for`}
          value={stream ?? LEFT_OUT}
          options={streams}
          onChange={(next) =>
            change('what past orders are taken for', (before) => ({
              ...before,
              streams: { ...before.streams, [name]: next === LEFT_OUT ? null : next },
            }))
          }
        />
      ))}
      {own.countries.length > 1 && (
        <ChoiceField
          label="Cards are domestic in"
          value={own.home ?? undefined}
          options={own.countries.map(({ name, orders: many }) => ({ value: name, label: `${name}, ${orders(many)}` }))}
          onChange={(home) => change('where cards are domestic', (before) => ({ ...before, home }))}
        />
      )}
      {own.doubled > 0 && (
        <p>
          Counted once, though several files have {own.doubled === 1 ? 'it' : 'them'}: {orders(own.doubled)}.
        </p>
      )}
      {own.withoutRate.map(({ currency, orders: many }) => (
        <p key={currency} className="notice">
          {orders(many)} in {currency} {many === 1 ? 'is' : 'are'} left out: enter the exchange rate under Basics.
        </p>
      ))}
    </section>
  );
}
