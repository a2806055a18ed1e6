import { toClaim } from '#core/price-sheet/offer-ends';
import type { ComesWith } from '#core/what-if/comes-with';
import { featureWords } from '#core/wording/need-words';
import { CandidateTag } from '../../components/candidate-tag';
import { DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import { useWorkbench } from '../../workbench/workbench-context';
import { useAskedDecision } from '../asked-decision';
import { useWhatIf } from '../use-what-if';
import { claimWords, comesWithSentence, partsWords } from './words';
import { comesWithTable as words } from './words';

const QUESTION = { kind: 'comes-with' } as const;

/** What comes with every plan, and what it is worth to this seller: what the same would cost bought singly. */
export function ComesWithTable() {
  const { file } = useAskedDecision();
  const { state } = useWorkbench();
  const write = useWriter();
  const { answer: rows } = useWhatIf<'comes-with'>(file, QUESTION);
  if (!rows || rows.length === 0) return null;
  const claims = new Map(rows.map(({ planId }) => [planId, toClaim(state.workbench, planId)]));
  const hasClaims = [...claims.values()].some((one) => one.length > 0);
  return (
    <>
      <h2>{words.whatComesWithAPlan}</h2>
      <p>{comesWithSentence(rows, write)}</p>
      <DataTable
        rows={rows}
        keyOf={({ planId }) => planId}
        columns={[
          {
            head: words.plan,
            kind: 'names-row',
            cell: ({ vendor, candidate, plan }) => (
              <>
                <CandidateTag id={candidate} /> {vendor} {plan}
              </>
            ),
          },
          { head: words.costs, kind: 'figures', cell: ({ cost }) => write.whole(cost) },
          { head: words.singly, kind: 'figures', cell: ({ singly }) => <b>{write.whole(singly?.total ?? '0')}</b> },
          { head: words.youWouldBuy, cell: (row) => partsWords(row, write) || <span className="nothing">–</span> },
          ...(rows.some(({ notAsked }) => notAsked.length > 0)
            ? [{ head: words.alsoInItNotAsked, cell: ({ notAsked }: ComesWith) => notAsked.map(featureWords).join(', ') }]
            : []),
          ...(hasClaims ? [{ head: words.toBeClaimed, cell: ({ planId }: ComesWith) => claimWords(claims.get(planId) ?? [], write) }] : []),
        ]}
      />
    </>
  );
}
