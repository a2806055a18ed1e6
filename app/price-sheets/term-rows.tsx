import { Button } from 'antd';
import { useState } from 'react';
import type { Plan, Term } from '#core/decision-file/price-sheet-schema';
import { withCandidate, candidateName } from '#core/decision/candidates';
import { withIntroductoryPrice, withTerm, withTermPrice } from '#core/price-sheet/edit-offer';
import { monthlyEquivalent } from '#core/price-sheet/term-price';
import { termWords } from '#core/price-sheet/term-words';
import { CandidateTag } from '../components/candidate-tag';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { AddRow } from './add-row';

/** Changes one plan: where, what in words, and how. */
export type PlanChange = (plan: Plan, key: string, label: string, recipe: (plan: Plan) => Plan) => void;

const USUAL_TERMS = [1, 12];
const OTHER_TERMS = [0, 3, 6, 24, 36, 48];
const PRICE = { least: 0, most: 1e9 };

/** What the plans cost, a row for each length of term. */
export function TermRows({ plans, onChange }: { plans: readonly Plan[]; onChange: PlanChange }) {
  const [asked, setAsked] = useState<readonly number[]>([]);
  const stated = plans.flatMap(({ terms }) => terms.map(({ months }) => months));
  const lengths = [...new Set([...USUAL_TERMS, ...stated, ...asked])].sort((a, b) => (a || Infinity) - (b || Infinity));
  const others = OTHER_TERMS.filter((months) => !lengths.includes(months));
  return (
    <tbody>
      <tr className="section">
        <th colSpan={plans.length + 2}>What the plan costs</th>
      </tr>
      {lengths.map((months) => (
        <tr key={months}>
          <th scope="row">
            {capital(termWords(months))}
            {months > 1 && <small>for the whole term</small>}
          </th>
          {plans.map((plan) => (
            <td key={plan.id}>
              <TermCell plan={plan} months={months} onChange={onChange} />
            </td>
          ))}
          <td />
        </tr>
      ))}
      <AddRow
        label="Another way to pay"
        placeholder="+ another term"
        options={others.map((months) => ({ value: String(months), label: termWords(months) }))}
        columns={plans.length}
        onAdd={(months) => setAsked([...asked, Number(months)])}
      />
    </tbody>
  );
}

function TermCell({ plan, months, onChange }: { plan: Plan; months: number; onChange: PlanChange }) {
  const write = useWriter();
  const term = plan.terms.find((one) => one.months === months);
  const name = plan.label || 'this plan';
  const words = termWords(months);
  const compared = term && monthlyEquivalent(plan, term);
  return (
    <div className="term-cell">
      <span className="term-price">
        <NumberField
          fieldKey={`${plan.id}.term.${months}`}
          label={`${name}, ${words}`}
          labelHidden
          optional
          mayBeUnknown
          value={term ? term.price : undefined}
          range={{ ...PRICE, wanted: `an amount in ${plan.currency}, or “?” for not known` }}
          placeholder="–"
          onChange={(price) => onChange(plan, `term.${months}`, `price ${words}`, (one) => ({ ...one, terms: withTermPrice(one.terms, months, price, newId) }))}
        />
        {term && <InLineUp plan={plan} term={term} />}
      </span>
      {term?.price === null && <small className="gap-words">not known</small>}
      {compared && (
        <small>
          {write.money(compared.perMonth, plan.currency)} a month
          {compared.saved !== null && savedWords(compared.saved)}
        </small>
      )}
      {term && <IntroductoryPrice plan={plan} term={term} onChange={onChange} />}
    </div>
  );
}

function savedWords(percent: string): string {
  const saved = Number(percent);
  if (saved === 0) return ', saves nothing';
  return saved > 0 ? `, saves ${percent} %` : `, ${-saved} % dearer`;
}

/** The candidates that take this plan on this term; adds one where there is none. */
function InLineUp({ plan, term }: { plan: Plan; term: Term }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const using = state.bench.decision.candidates.filter((one) => one.plans.some((used) => used.plan === plan.id && used.term === term.id));
  const offer = state.bench.sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' && sheet.offer.plans.some(({ id }) => id === plan.id) ? [sheet.offer] : []))[0];
  if (using.length > 0)
    return (
      <span className="in-line-up" title="In the line-up">
        {using.map(({ id }) => (
          <CandidateTag key={id} id={id} />
        ))}
      </span>
    );
  return (
    <Button
      type="text"
      size="small"
      onClick={() =>
        edits.decision(`candidate.${term.id}`, 'a candidate added', (one) =>
          withCandidate(one, { label: candidateName(offer?.label ?? '', plan.label), plans: [{ plan: plan.id, term: term.id }] }),
        )
      }
    >
      compare
    </Button>
  );
}

function IntroductoryPrice({ plan, term, onChange }: { plan: Plan; term: Term; onChange: PlanChange }) {
  const [asked, setAsked] = useState(false);
  const [periodsAhead, setPeriodsAhead] = useState(1);
  const change = (key: string, label: string, recipe: (term: Term) => Term) =>
    onChange(plan, `${term.id}.${key}`, label, (one) => ({ ...one, terms: withTerm(one.terms, term.id, recipe) }));
  const { intro, trialDays } = term;
  if (!intro && trialDays === undefined && !asked)
    return (
      <Button type="link" size="small" className="add-intro" onClick={() => setAsked(true)}>
        + introductory price or trial
      </Button>
    );
  const off = intro && 'off' in intro;
  const payments = intro?.periods ?? periodsAhead;
  return (
    <span className="intro-fields">
      <NumberField
        fieldKey={`${term.id}.periods`}
        label="first … payments"
        value={String(payments)}
        range={{ least: 1, most: 1200, whole: true, wanted: 'a number of payments' }}
        onChange={(periods) => {
          setPeriodsAhead(Number(periods));
          if (intro) change('intro-periods', 'number of introductory payments', (one) => withIntroPeriods(one, Number(periods)));
        }}
      />
      <NumberField
        fieldKey={`${term.id}.intro`}
        label={off ? 'percent off' : 'cost each'}
        optional
        mayBeUnknown
        value={intro ? ('off' in intro ? intro.off : intro.price) : undefined}
        range={off ? { least: 0, most: 100, wanted: 'a percentage' } : { ...PRICE, wanted: `an amount in ${plan.currency}` }}
        placeholder="–"
        onChange={(price) => change('intro', 'introductory price', (one) => (off ? withPercentOff(one, price) : withIntroductoryPrice(one, price, payments)))}
      />
      <NumberField
        fieldKey={`${term.id}.trial`}
        label="free days first"
        optional
        value={trialDays === undefined ? undefined : String(trialDays)}
        range={{ least: 0, most: 3650, whole: true, wanted: 'a number of days' }}
        placeholder="–"
        onChange={(days) =>
          change('trial', 'trial', ({ trialDays: _former, ...rest }) => (days === undefined || days === null ? rest : { ...rest, trialDays: Number(days) }))
        }
      />
    </span>
  );
}

function withIntroPeriods(term: Term, periods: number): Term {
  return term.intro ? { ...term, intro: { ...term.intro, periods } } : term;
}

function withPercentOff(term: Term, off: string | null | undefined): Term {
  const { intro, ...rest } = term;
  return off == null || !intro ? rest : { ...rest, intro: { off, periods: intro.periods } };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
