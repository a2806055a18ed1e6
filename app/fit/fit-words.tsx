import type { FirstPlaces } from '#core/fit/stability';
import type { TurningWeight } from '#core/fit/turning-weights';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { shareWords } from './fit-table';
import type { Weighed } from './use-fit';

const NUMBERS = ['None', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine'];

/** A candidate's name, with its letter where the other one is called the same. */
function nameBeside({ candidate, label }: Weighed, other: Weighed): string {
  return label === other.label ? `${candidate} ${label}` : label;
}

/** What the picture says, in a sentence or two. */
export function FitSentence({ weighed }: { weighed: readonly Weighed[] }) {
  const write = useWriter();
  const usable = weighed.filter(({ isUsable }) => isUsable);
  const [first, second] = usable;
  if (!first) return <p className="fit-sentence">No candidate can be chosen as it is, so none comes first.</p>;
  const cheapest = [...usable].filter(({ atLeast }) => !atLeast).sort((a, b) => Number(a.total) - Number(b.total))[0];
  const isTied = second !== undefined && Math.abs(second.fit - first.fit) < 0.05;
  const cheap = cheapest ? besideCheapest(first, cheapest, write) : '';
  const between = usable.filter(({ isUnbeaten }) => isUnbeaten).length;
  return (
    <p className="fit-sentence">
      {isTied ? `${nameBeside(first, second)} and ${nameBeside(second, first)} fit equally well` : `${first.label} fits best`},{' '}
      {first.most > first.fit + 0.5 ? 'at least ' : ''}
      {Math.round(first.fit)} of 100{cheap}{' '}
      {between > 1 && cheapest !== first
        ? `${NUMBERS[between] ?? between} of them have no rival that is both cheaper and a better fit: choosing between those depends on what fit is worth to you.`
        : ''}
    </p>
  );
}

function besideCheapest(first: Weighed, cheapest: Weighed, write: Writer): string {
  if (cheapest === first) return ', and costs least: nothing beats it on either.';
  return `. The cheapest, ${cheapest.label}, fits ${Math.round(cheapest.fit)}, at ${write.amount(cheapest.total)} against ${write.amount(first.total)}.`;
}

/** How much the first place depends on the weights. */
export function Stability({ places, isBehind }: { places: readonly FirstPlaces[]; isBehind: boolean }) {
  const [first, ...others] = places.filter(({ share }) => share > 0);
  return (
    <section aria-label="How stable it is" aria-busy={isBehind}>
      <h2>However you weigh it</h2>
      {!first ? (
        <p className="quiet">Nothing is weighed yet.</p>
      ) : (
        <p>
          Of 10,000 ways of weighing, spread evenly over all there are, <b>{first.label}</b> fits best in {shareWords(first.share)} of 100
          {others.length > 0 ? `; ${others.map(({ label, share }) => `${label} in ${shareWords(share)}`).join(', ')}` : ''}.{' '}
          {verdictOf(first.share)}
        </p>
      )}
    </section>
  );
}

function verdictOf(share: number): string {
  if (share > 0.9) return 'The weights hardly matter.';
  return share > 0.6 ? 'Most weights lead there, not all.' : 'It depends on what you weigh how.';
}

/** Which weight would turn which one fits best. */
export function Turning({ turning }: { turning: readonly TurningWeight[] }) {
  const write = useWriter();
  return (
    <section aria-label="Which weight turns it">
      <h2>Which weight turns it</h2>
      {turning.length === 0 ? (
        <p className="quiet">No single weight: however much one of them counts, the same one fits best.</p>
      ) : (
        <ul className="turning">
          {turning.slice(0, 8).map(({ key, label, from, to, winnerLabel }) => (
            <li key={key}>
              <b>{label}</b>: {write.number(String(from))} → {to > from ? 'above' : 'below'} {write.number(String(to), 1)}, and{' '}
              {winnerLabel} fits best
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
