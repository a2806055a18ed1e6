import { PaysNow } from '../start/pays-now';
import { PriceBox } from '../start/price-box';
import { SoFar } from '../start/so-far';
import { StreamForm } from '../sales/stream-form';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/start';

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
      <main className="work" aria-label="Start">
        <section className="start-part" aria-label="What do you sell?">
          <h2>What do you sell, and about how much?</h2>
          <p className="quiet">
            One guess is enough to begin with. Everything can be made finer later, and nothing here has to be filled in.
          </p>
          {forecast.streams.map((stream, index) => (
            <StreamForm key={stream.id} stream={stream} currency={currency} only={forecast.streams.length === 1} isFirst={index === 0} />
          ))}
        </section>
        <section className="start-part" aria-label="What do you pay now?">
          <h2>What do you pay now?</h2>
          <PaysNow today={loaderData.today} />
        </section>
        <section className="start-part" aria-label="What do vendors charge?">
          <h2>What do vendors charge?</h2>
          <PriceBox today={loaderData.today} />
        </section>
        <section className="start-part" aria-label="What is it about?">
          <h2>What is it about?</h2>
          <TextField
            label="The question to decide"
            value={name}
            onChange={(next) => edits.decision('name', 'the question', (one) => ({ ...one, name: next }))}
          />
        </section>
      </main>
      <aside className="margin" aria-label="So far" aria-live="polite">
        <SoFar />
      </aside>
    </>
  );
}
