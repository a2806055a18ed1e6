import { Button } from 'antd';
import { Link } from 'react-router';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import { ConditionsTable } from './conditions-table';
import { chosenByChance, chosenSentence, openWords, suitsSentence, thresholdWords, togetherWords } from './verdict-words';
import { givenVerdict as words } from './words';
import { capital } from '#core/wording/capital';

/** A verdict as it was given, with the figures of that day. */
export function GivenVerdictView({ verdict, reportTo, onWithdraw }: { verdict: GivenVerdict; reportTo: string; onWithdraw?(): void }) {
  const write = useWriter();
  const names = new Map([...verdict.totals, ...verdict.parts].map(({ candidate, label }) => [candidate, label]));
  const nameOf = (id: string | null) => (id === null ? 'nobody' : (names.get(id) ?? id));
  return (
    <article className="given-verdict">
      <h3>
        {write.day(verdict.on)}
        {verdict.strength === 'modest' && <small> {words.forNow}</small>}
      </h3>
      <p className="says-small">
        {chosenSentence(verdict, verdict.months, write)} {chosenByChance(verdict.chance, write)}
      </p>
      {verdict.shared && <p>{togetherWords(verdict, verdict.currency, write)}</p>}
      {verdict.reason && <blockquote>{verdict.reason}</blockquote>}
      <Fold summary={words.everythingItRestedOn}>
        <p>{verdict.forWhom || suitsSentence(verdict.suits, write)}</p>
        <p className="quiet">
          {words.salesAMonthOrders({
            version: capital(verdict.version),
            monthlySales: write.amount(verdict.monthlySales),
            monthlyOrders: write.orders(verdict.monthlyOrders),
            currency: verdict.currency,
            theRevisionIt: verdict.madeFrom ? words.madeFromRevisionOfThisDecision(verdict.madeFrom.revision) : words.theRevisionItWas,
          })}
        </p>
        <ConditionsTable conditions={verdict.conditions} chosen={verdict.parts.map(({ candidate }) => candidate)} nameOf={nameOf} />
        <ul className="plain-list">
          {verdict.thresholds.map((threshold) => (
            <li key={`${threshold.key} ${threshold.at}`}>{thresholdWords(threshold, nameOf, write, verdict.comparedBy)}</li>
          ))}
        </ul>
        <DataTable
          hideHead
          frame={null}
          rows={verdict.totals}
          keyOf={({ candidate }) => candidate}
          columns={[
            { head: words.candidate, kind: 'names-row', cell: ({ label }) => label },
            {
              head: words.total,
              kind: 'figures',
              cell: ({ total, atLeast }) => `${atLeast ? words.atLeast : ''}${write.money(total, verdict.currency)}`,
            },
            { head: words.standing, cell: ({ usable }) => (usable ? '' : words.cannotBeChosen) },
          ]}
        />
        <p className="quiet">
          {words.priceSheets(
            verdict.sheets.map(({ label, seen }) => `${label} (${seen ? words.seen(write.day(seen)) : words.notDated})`).join(', '),
          )}
        </p>
        {verdict.open.length > 0 && (
          <ul className="plain-list">
            {verdict.open.map((question) => (
              <li key={question.kind}>{openWords(question, write)}</li>
            ))}
          </ul>
        )}
      </Fold>
      <p>
        <Link to={reportTo}>{words.reportOfThisVerdict}</Link>{' '}
        {onWithdraw && (
          <Button type="link" size="small" onClick={onWithdraw}>
            {words.withdraw}
          </Button>
        )}
      </p>
    </article>
  );
}
