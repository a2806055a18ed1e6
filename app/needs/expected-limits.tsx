import { useMemo } from 'react';
import { Link } from 'react-router';
import { expectedLimits } from '#core/needs/expected-limits';
import { featureWords } from '#core/wording/need-words';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { expectedLimits as words } from './words';

/** What expected sales ask of plans by themselves. */
export function ExpectedLimits() {
  const { atForecast, state, decisionId } = useWorkbench();
  const write = useWriter();
  const { file } = atForecast.priced.pricing;
  const limits = useMemo(() => expectedLimits(file), [file]);
  const labelOf = (plan: string) => {
    const offer = state.workbench.sheets
      .flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []))
      .find(({ plans }) => plans.some(({ id }) => id === plan));
    return `${offer?.label ?? ''} ${offer?.plans.find(({ id }) => id === plan)?.label ?? plan}`.trim();
  };
  return (
    <section aria-label={words.limitsFromExpectedSales}>
      <h2>{words.whatSalesAskForByThemselves}</h2>
      {limits.length === 0 && <p className="quiet">{words.noPriceSheetStates}</p>}
      {limits.map(({ quantity, most, month, plans }) => {
        const short = plans.filter(({ outgrown }) => outgrown !== null);
        return (
          <div className="expected-limit" key={quantity}>
            <p>{words.youWillHaveIn(<b>{write.number(most, 0)}</b>, featureWords(quantity), write.month(month))}</p>
            {short.map(({ plan, limit, outgrown }) => (
              <p key={plan} className="quiet">
                {words.goesTo(
                  labelOf(plan),
                  write.number(limit),
                  <span className="problem">{words.outgrownIn(write.month(outgrown ?? month))}</span>,
                )}
              </p>
            ))}
            {short.length === 0 && <p className="quiet">{words.everyPlanCoversThis}</p>}
          </div>
        );
      })}
      <p className="quiet">{words.theyFollowNothingHas(<Link to={`/decisions/${decisionId}/sales`}>{words.expectedSales}</Link>)}</p>
    </section>
  );
}
