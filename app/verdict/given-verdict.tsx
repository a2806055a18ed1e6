import { Button } from 'antd';
import { Link } from 'react-router';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import { ConditionsTable } from './conditions-table';
import { chosenByChance, chosenSentence, openWords, suitsSentence, thresholdWords, togetherWords } from './verdict-words';

/** A verdict as it was given, with the figures of that day. */
export function GivenVerdictView({ verdict, reportTo, onWithdraw }: { verdict: GivenVerdict; reportTo: string; onWithdraw?(): void }) {
  const write = useWriter();
  const names = new Map([...verdict.totals, ...verdict.parts].map(({ candidate, label }) => [candidate, label]));
  const nameOf = (id: string | null) => (id === null ? 'nobody' : (names.get(id) ?? id));
  return (
    <article className="given-verdict">
      <h3>
        {write.day(verdict.on)}
        {verdict.strength === 'modest' && <small> for now</small>}
      </h3>
      <p className="says-small">
        {chosenSentence(verdict, verdict.months, write)} {chosenByChance(verdict.chance, write)}
      </p>
      {verdict.shared && <p>{togetherWords(verdict, verdict.currency, write)}</p>}
      {verdict.reason && <blockquote>{verdict.reason}</blockquote>}
      <Fold summary="Everything it rested on">
        <p>{verdict.forWhom || suitsSentence(verdict.suits, write)}</p>
        <p className="quiet">
          {verdict.version[0]?.toUpperCase()}
          {verdict.version.slice(1)} sales, {write.amount(verdict.monthlySales)} a month ({write.orders(verdict.monthlyOrders)} orders), in{' '}
          {verdict.currency}.
          {verdict.madeFrom
            ? ` Made from revision ${verdict.madeFrom.revision} of this decision.`
            : ' The revision it was made from is not kept here.'}
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
            { head: 'Candidate', kind: 'names-row', cell: ({ label }) => label },
            {
              head: 'Total',
              kind: 'figures',
              cell: ({ total, atLeast }) => `${atLeast ? 'at least ' : ''}${write.money(total, verdict.currency)}`,
            },
            { head: 'Standing', cell: ({ usable }) => (usable ? '' : 'cannot be chosen') },
          ]}
        />
        <p className="quiet">
          Price sheets: {verdict.sheets.map(({ label, seen }) => `${label} (${seen ? `seen ${write.day(seen)}` : 'not dated'})`).join(', ')}
          .
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
        <Link to={reportTo}>Report of this verdict</Link>{' '}
        {onWithdraw && (
          <Button type="link" size="small" onClick={onWithdraw}>
            Withdraw
          </Button>
        )}
      </p>
    </article>
  );
}
