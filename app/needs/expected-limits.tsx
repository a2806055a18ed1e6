import { useMemo } from 'react';
import { Link } from 'react-router';
import { expectedLimits } from '#core/needs/expected-limits';
import { featureWords } from '#core/wording/need-words';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';

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
    <section aria-label="Limits from expected sales">
      <h2>What sales ask for by themselves</h2>
      {limits.length === 0 && <p className="quiet">No price sheet states a limit of something that expected sales count.</p>}
      {limits.map(({ quantity, most, month, plans }) => {
        const short = plans.filter(({ outgrown }) => outgrown !== null);
        return (
          <div className="expected-limit" key={quantity}>
            <p>
              You will have <b>{write.number(most, 0)}</b> {featureWords(quantity)} in {write.month(month)}.
            </p>
            {short.map(({ plan, limit, outgrown }) => (
              <p key={plan} className="quiet">
                {labelOf(plan)} goes to {write.number(limit)}: <span className="problem">outgrown in {write.month(outgrown ?? month)}</span>
              </p>
            ))}
            {short.length === 0 && <p className="quiet">Every plan covers this.</p>}
          </div>
        );
      })}
      <p className="quiet">
        They follow <Link to={`/decisions/${decisionId}/sales`}>expected sales</Link>; nothing has to be listed for them.
      </p>
    </section>
  );
}
