import { Link } from 'react-router';
import { type AskedAbout, readQuestion } from '#core/sales-question/read-question';
import { counted } from '#core/wording/counted';
import { CandidateTag } from '../components/candidate-tag';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { soFar as texts } from './words';

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
      <h2>{texts.yourComparisonSoFar}</h2>
      <ul className="so-far">
        <li className={sells ? '' : 'lacks'}>
          {sells ? texts.salesOfAMonth(write.amount(atForecast.average.sales)) : texts.howMuchYouSell}
        </li>
        <li className={vendors > 0 ? '' : 'lacks'}>{vendors > 0 ? texts.pricesOf(counted(vendors, 'vendor')) : texts.pricesNoneYet}</li>
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
                head: texts.candidate,
                kind: 'names-row',
                cell: ({ id, label }) => (
                  <>
                    <CandidateTag id={id} /> {label}
                  </>
                ),
              },
              {
                head: texts.total,
                kind: 'figures',
                cell: ({ result, atLeast }) => `${atLeast ? texts.atLeast : ''}${write.whole(result.total)}`,
              },
            ]}
          />
          <p>
            <AskedFor name={decision.name} to={to} />
            <Link to={`${to}/line-up`}>{texts.seeTheWholeComparison}</Link>
          </p>
          <p className="quiet">
            {texts.nextWhatSharpensItMost(
              <Link to={`${to}/needs`}>{texts.whatYouCannotDo}</Link>,
              <Link to={`${to}/sales`}>{texts.growthSeasonAndCards}</Link>,
            )}
          </p>
        </>
      )}
    </>
  );
}

/** Where what the question asks is answered. */
const ANSWERED: Readonly<Record<AskedAbout, readonly [place: string, words: string]>> = {
  'dearer-plan': ['what-if/next-plan', texts.seeWhenTheDearer],
  moving: ['what-if/route', texts.seeWhenToMove],
  'paying-ahead': ['what-if/paying-ahead', texts.seeWhetherPayingAhead],
  investment: ['what-if/investment', texts.seeWhetherItPays],
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
