import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import type { DecisionFile } from '#core/decision-file/schema';
import type { Priced } from '../workbench/workbench-context';
import { EmptyPlace } from '../first-steps/empty-place';
import type { EmptyPlaceName } from '../first-steps/places-in-words';
import { useStore, useWorkbench } from '../workbench/workbench-context';
import { COMPARED_WORDS, type ComparedWords } from '../locale/compared-words';

/** The decision that is asked about, at the forecast, in the version that is shown. */
export interface AskedDecision {
  readonly file: DecisionFile;
  readonly priced: Priced;
  /** A candidate's name, told apart from others of the same. */
  nameOf(candidate: string | null): string;
  /** How it is said who is better. */
  readonly compared: ComparedWords;
}

/** What the places of “what if” ask about. */
export function useAskedDecision(): AskedDecision {
  const { atForecast } = useWorkbench();
  return useMemo(() => {
    const names = new Map(atForecast.lineUp.columns.map(({ id, label }) => [id, label]));
    return {
      file: atForecast.priced.pricing.file,
      priced: atForecast,
      compared: COMPARED_WORDS[atForecast.lineUp.by],
      nameOf: (candidate) => (candidate === null ? 'nobody' : (names.get(candidate) ?? candidate)),
    };
  }, [atForecast]);
}

/** Shown in the place of a picture that there is nothing to draw for: what will stand there, and the first step. */
export function NothingToAsk({ needs, place, children }: { needs: 'one' | 'two'; place: EmptyPlaceName; children: ReactNode }) {
  const { decisionId } = useStore();
  const { file, priced } = useAskedDecision();
  const to = `/decisions/${decisionId}`;
  if (file.candidates.length === 0) return <EmptyPlace place={place} />;
  if (needs === 'two' && file.candidates.length === 1)
    return (
      <EmptyPlace
        place={place}
        lacking={
          <>
            There is only one candidate so far. Enter <Link to={`${to}/sheets`}>what another vendor charges</Link>, or compare it with{' '}
            <Link to={`${to}/line-up/candidates`}>another plan</Link> of the same vendor.
          </>
        }
      />
    );
  if (needs === 'two' && Number(priced.average.sales) === 0)
    return (
      <EmptyPlace
        place={place}
        lacking={
          <>
            No sales are expected in any month, so there is no other level to look at.{' '}
            <Link to={`${to}/sales`}>Say what you expect to sell</Link>: a single guess will do.
          </>
        }
      />
    );
  return <>{children}</>;
}

/** Says that no candidate can be chosen, where an answer would name who is cheapest. */
export function NobodyToChoose() {
  const { decisionId } = useStore();
  const to = `/decisions/${decisionId}`;
  return (
    <>
      <h2>No candidate can be chosen as it is</h2>
      <p>
        Each is outgrown, lacks something that must be there, or rests on a price that is not known. The{' '}
        <Link to={`${to}/line-up`}>comparison</Link> says which; change the <Link to={`${to}/needs`}>needs</Link>, find out the price, or
        take a larger plan.
      </p>
    </>
  );
}

/** How an answer is coming along: nothing while it is quick, a bar when it takes longer than a second, and why there is none. */
export function Working({ progress, problem, isBusy }: { progress: number | null; problem: string | null; isBusy: boolean }) {
  if (problem !== null)
    return (
      <p className="problem" role="alert">
        This could not be worked out: {problem}
      </p>
    );
  return (
    <p className="working quiet" role="status" aria-live="polite">
      {progress !== null && (
        <>
          <progress max={1} value={progress} /> working it out, {Math.round(progress * 100)}%
        </>
      )}
      {progress === null && isBusy && <span className="visually-hidden">working it out</span>}
    </p>
  );
}
