import { Link } from 'react-router';
import { type AskedAbout, readQuestion } from '#core/sales-question/read-question';
import { counted } from '#core/wording/counted';
import { CandidateTag } from '../components/candidate-tag';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';

/** So many candidates are shown while the comparison builds up. */
const SHOWN = 5;

/** The comparison as it builds up, and what is missing for the next step. */
export function SoFar() {
  const { state, atForecast, decisionId } = useWorkbench();
  const write = useWriter();
  const { decision, sheets } = state.workbench;
  const { columns } = atForecast.lineUp;
  const to = `/decisions/${decisionId}`;
  const sells = Number(atForecast.average.sales) > 0;
  const vendors = sheets.filter(({ sheet }) => sheet.kind === 'offer' && sheet.offer.plans.some(({ terms }) => terms.length > 0)).length;
  return (
    <>
      <h2>Your comparison so far</h2>
      <ul className="so-far">
        <li className={sells ? '' : 'lacks'}>
          {sells ? `Sales of ${write.amount(atForecast.average.sales)} a month` : 'How much you sell: not said yet'}
        </li>
        <li className={vendors > 0 ? '' : 'lacks'}>{vendors > 0 ? `Prices of ${counted(vendors, 'vendor')}` : 'Prices: none yet'}</li>
      </ul>
      {columns.length > 0 && (
        <>
          <DataTable
            hideHead
            frame={null}
            rows={columns.slice(0, SHOWN)}
            keyOf={({ id }) => id}
            columns={[
              {
                head: 'Candidate',
                kind: 'names-row',
                cell: ({ id, label }) => (
                  <>
                    <CandidateTag id={id} /> {label}
                  </>
                ),
              },
              {
                head: 'Total',
                kind: 'figures',
                cell: ({ result, atLeast }) => `${atLeast ? 'at least ' : ''}${write.whole(result.total)}`,
              },
            ]}
          />
          <p>
            <AskedFor name={decision.name} to={to} />
            <Link to={`${to}/line-up`}>See the whole comparison</Link>
          </p>
          <p className="quiet">
            Next, what sharpens it most: <Link to={`${to}/needs`}>what you cannot do without</Link>, and{' '}
            <Link to={`${to}/sales`}>growth, season and cards from abroad</Link>.
          </p>
        </>
      )}
    </>
  );
}

/** Where what the question asks is answered. */
const ANSWERED: Readonly<Record<AskedAbout, readonly [place: string, words: string]>> = {
  'dearer-plan': ['what-if/next-plan', 'See when the dearer plan pays'],
  moving: ['what-if/route', 'See when to move'],
  'paying-ahead': ['what-if/paying-ahead', 'See whether paying ahead pays'],
  investment: ['what-if/investment', 'See whether it pays for itself'],
};

/** Leads to the answer of what the decision's name asks. */
function AskedFor({ name, to }: { name: string; to: string }) {
  const { asks } = readQuestion(name);
  if (asks === null) return null;
  const [place, words] = ANSWERED[asks];
  return (
    <>
      <Link to={`${to}/${place}`}>{words}</Link>
      <br />
    </>
  );
}
