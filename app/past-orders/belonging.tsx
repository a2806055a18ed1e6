import type { PastOrdersOf } from '#core/decision/past-orders-schema';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import type { PastOrdersAnswer } from '../../workers/past-orders';
import { belonging as words } from './words';

const LEFT_OUT = words.leftOut;

/** Which stream the orders of each place of selling are taken for, and whose cards are domestic. */
export function Belonging({ own }: Pick<PastOrdersAnswer, 'own'>) {
  const { forecast } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const write = useWriter();
  const change = (label: string, next: (before: PastOrdersOf) => PastOrdersOf) =>
    edits.decision('past-orders', label, (one) => ({ ...one, pastOrders: next(one.pastOrders ?? {}) }));
  const streams = [
    ...forecast.streams.map(({ id, label }) => ({ value: id, label: label || words.aStreamWithoutAName })),
    { value: LEFT_OUT, label: words.leftOut },
  ];
  const orders = (many: number) => words.orders(many, write.number(String(many)));
  return (
    <section aria-label={words.whatTheyAreTaken} className="form-grid">
      {own.channels.map(({ name, orders: many, stream }) => (
        <ChoiceField
          key={name}
          label={words.takenFor(name === '' ? words.soldWithoutSayingWhere : `“${name}”`, orders(many))}
          value={stream ?? LEFT_OUT}
          options={streams}
          onChange={(next) =>
            change(words.whatPastOrdersAreTaken, (before) => ({
              ...before,
              streams: { ...before.streams, [name]: next === LEFT_OUT ? null : next },
            }))
          }
        />
      ))}
      {own.countries.length > 1 && (
        <ChoiceField
          label={words.cardsAreDomesticIn}
          value={own.home ?? undefined}
          options={own.countries.map(({ name, orders: many }) => ({ value: name, label: `${name}, ${orders(many)}` }))}
          onChange={(home) => change(words.whereCardsAreDomestic, (before) => ({ ...before, home }))}
        />
      )}
      {own.doubled > 0 && <p>{words.countedOnceThoughSeveral(own.doubled === 1 ? words.it : words.them, orders(own.doubled))}</p>}
      {own.withoutRate.map(({ currency, orders: many }) => (
        <p key={currency} className="notice">
          {words.inLeftOutEnter(orders(many), currency, many === 1 ? words.is : words.are)}
        </p>
      ))}
    </section>
  );
}
