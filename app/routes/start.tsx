import { PaysNow } from '../start/pays-now';
import { PriceBox } from '../start/price-box';
import { SoFar } from '../start/so-far';
import { StreamForm } from '../sales/stream-form';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/start';
import { start as words } from './words/start';

/** Today, for when prices were seen. */
export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, todayHere);
}

/** Where a new decision begins: what is sold and about how much, and what vendors ask, on one page. */
export default function Start({ loaderData }: Route.ComponentProps) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { name, currency, forecast } = state.workbench.decision;
  return (
    <>
      <main className="work" aria-label={words.start}>
        <section className="start-part" aria-label={words.whatDoYouSell}>
          <h2>{words.whatDoYouSellAnd}</h2>
          <p className="quiet">{words.oneGuessIsEnough}</p>
          {forecast.streams.map((stream, index) => (
            <StreamForm key={stream.id} stream={stream} currency={currency} only={forecast.streams.length === 1} isFirst={index === 0} />
          ))}
        </section>
        <section className="start-part" aria-label={words.whatDoYouPay}>
          <h2>{words.whatDoYouPay}</h2>
          <PaysNow today={loaderData.today} />
        </section>
        <section className="start-part" aria-label={words.whatDoVendorsCharge}>
          <h2>{words.whatDoVendorsCharge}</h2>
          <PriceBox today={loaderData.today} />
        </section>
        <section className="start-part" aria-label={words.whatIsItAbout}>
          <h2>{words.whatIsItAbout}</h2>
          <TextField
            label={words.theQuestionToDecide}
            value={name}
            onChange={(next) => edits.decision('name', words.theQuestion, (one) => ({ ...one, name: next }))}
          />
        </section>
      </main>
      <aside className="margin" aria-label={words.soFar} aria-live="polite">
        <SoFar />
      </aside>
    </>
  );
}
