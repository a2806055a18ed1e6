import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import type { DecisionFile } from '#core/decision-file/schema';
import type { Priced } from '../workbench/workbench-context';
import { EmptyPlace } from '../first-steps/empty-place';
import type { PlaceInWords } from '../first-steps/places-in-words';
import { useStore, useWorkbench } from '../workbench/workbench-context';
import { COMPARED_WORDS, type ComparedWords } from '../locale/compared-words';
import { askedDecision as words } from './words';

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
export function NothingToAsk({ needs, place, children }: { needs: 'one' | 'two'; place: PlaceInWords; children: ReactNode }) {
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
            {words.thereIsOnlyOne(
              <Link to={`${to}/sheets`}>{words.whatAnotherVendorCharges}</Link>,
              <Link to={`${to}/line-up/candidates`}>{words.anotherPlan}</Link>,
            )}
          </>
        }
      />
    );
  if (needs === 'two' && Number(priced.average.sales) === 0)
    return <EmptyPlace place={place} lacking={<>{words.noSalesAreExpected(<Link to={`${to}/sales`}>{words.sayWhatYouExpect}</Link>)}</>} />;
  return <>{children}</>;
}

/** Says that no candidate can be chosen, where an answer would name who is cheapest. */
export function NobodyToChoose() {
  const { decisionId } = useStore();
  const to = `/decisions/${decisionId}`;
  return (
    <>
      <h2>{words.noCandidateCanBeChosen}</h2>
      <p>
        {words.eachIsOutgrownLacks(<Link to={`${to}/line-up`}>{words.comparison}</Link>, <Link to={`${to}/needs`}>{words.needs}</Link>)}
      </p>
    </>
  );
}

/** How an answer is coming along: nothing while it is quick, a bar when it takes longer than a second, and why there is none. */
export function Working({ progress, problem, isBusy }: { progress: number | null; problem: string | null; isBusy: boolean }) {
  if (problem !== null)
    return (
      <p className="problem" role="alert">
        {words.thisCouldNotBeWorked(problem)}
      </p>
    );
  return (
    <p className="working quiet" role="status" aria-live="polite">
      {progress !== null && (
        <>
          <progress max={1} value={progress} /> {words.workingItOutPercent(Math.round(progress * 100))}
        </>
      )}
      {progress === null && isBusy && <span className="visually-hidden">{words.workingItOut}</span>}
    </p>
  );
}
