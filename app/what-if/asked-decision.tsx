import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import type { DecisionFile } from '#core/decision-file/schema';
import type { Priced } from '../workbench/workbench-context';
import { useWorkbench } from '../workbench/workbench-context';
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

/** Shown in the place of a picture that there is nothing to draw for: what is the case, and what to do. */
export function NothingToAsk({ needs, children }: { needs: 'one' | 'two'; children: ReactNode }) {
  const { decisionId } = useWorkbench();
  const { file, priced } = useAskedDecision();
  const to = `/decisions/${decisionId}`;
  const wanted = needs === 'two' ? 2 : 1;
  if (file.candidates.length < wanted) {
    const title = file.candidates.length === 0 ? 'There is no candidate with a price yet' : 'There is only one candidate';
    return (
      <main className="work" aria-label={title}>
        <h2>{title}</h2>
        <p>
          <Link to={`${to}/sheets`}>Enter what {file.candidates.length === 0 ? 'plans cost' : 'another plan costs'}</Link>, or take what is{' '}
          <Link to={`${to}/line-up/candidates`}>proposed</Link>. This page then fills in by itself.
        </p>
      </main>
    );
  }
  if (needs === 'two' && Number(priced.average.sales) === 0)
    return (
      <main className="work" aria-label="Nothing is sold">
        <h2>Nothing is sold</h2>
        <p>
          Expected sales are nothing in every month, so there is no other level to look at.{' '}
          <Link to={`${to}/sales`}>Say what you expect to sell</Link>, a single guess will do.
        </p>
      </main>
    );
  return <>{children}</>;
}

/** Says that nobody can be chosen, where an answer would name who is cheapest. */
export function NobodyToChoose() {
  const { decisionId } = useWorkbench();
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
          <progress max={1} value={progress} /> being worked out, {Math.round(progress * 100)} %
        </>
      )}
      {progress === null && isBusy && <span className="visually-hidden">being worked out</span>}
    </p>
  );
}
