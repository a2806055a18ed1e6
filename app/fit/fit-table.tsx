import type { CandidateResult } from '#core/comparison/candidate-result';
import type { FirstPlaces } from '#core/fit/stability';
import { DataTable } from '../components/data-table';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { standingWords } from '../proposals/reason-words';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import type { Weighed } from './use-fit';
import { fitTable as words } from './words';

interface FitTableViewProps {
  weighed: readonly Weighed[];
  places: readonly FirstPlaces[];
  open: string | null;
  onOpen(candidate: string): void;
}

/** Fit and cost side by side, never mixed into one. */
export function FitTableView({ weighed, places, open, onOpen }: FitTableViewProps) {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const write = useWriter();
  const { currency } = state.workbench.decision;
  const resultOf = (candidate: string) => priced.priced.result.candidates.find(({ id }) => id === candidate);
  return (
    <DataTable
      hasOwnLook
      className="fits"
      frame={null}
      rows={weighed}
      keyOf={({ candidate }) => candidate}
      rowClass={({ isUsable }) => (isUsable ? '' : 'is-grey')}
      columns={[
        { head: words.candidate, kind: 'names-row', cell: (one) => <FitName one={one} result={resultOf(one.candidate)} /> },
        { head: words.fitOf100, cell: (one) => <FitFigure one={one} isOpen={open === one.candidate} onOpen={onOpen} /> },
        {
          head: words.total,
          cellClass: 'fit-cost',
          cell: ({ atLeast, total }) => (
            <>
              {atLeast && <small className="at-least">{words.atLeast} </small>}
              {write.whole(total)} <small>{currency}</small>
            </>
          ),
        },
        {
          head: words.howOftenItComes,
          title: words.overAllWaysOfWeighing,
          cell: ({ candidate }) => {
            const share = places.find((one) => one.candidate === candidate)?.share;
            return share === undefined ? '–' : words.of100(shareWords(share));
          },
        },
        { key: 'unbeaten', head: null, cell: ({ isUnbeaten }) => isUnbeaten && <b className="unbeaten">{words.nothingBeatsItOnBoth}</b> },
      ]}
    />
  );
}

function FitName({ one, result }: { one: Weighed; result: CandidateResult | undefined }) {
  const write = useWriter();
  return (
    <>
      <CandidateTag id={one.candidate} /> {one.label}
      {!one.isUsable && result && <small className="problem">{standingWords(result, write.month)}</small>}
    </>
  );
}

function FitFigure({ one, isOpen, onOpen }: { one: Weighed; isOpen: boolean; onOpen(candidate: string): void }) {
  return (
    <>
      <button
        type="button"
        className="figure"
        aria-expanded={isOpen}
        aria-label={words.fitOfWhatItIsMade(one.label)}
        onClick={() => onOpen(one.candidate)}
      >
        {one.most > one.fit + 0.5 && <small className="at-least">{words.atLeast} </small>}
        {Math.round(one.fit)}
      </button>
      <i className="fit-bar" aria-hidden="true">
        <i style={{ width: `${one.fit}%` }} />
        <i className="fit-open" style={{ width: `${one.most - one.fit}%` }} />
      </i>
    </>
  );
}

/** A share of all weightings as a count out of a hundred. */
export function shareWords(share: number): string {
  const of100 = share * 100;
  if (of100 > 0 && of100 < 1) return words.lessThan1;
  return of100 > 99 && of100 < 100 ? words.moreThan99 : String(Math.round(of100));
}
