import { Button } from 'antd';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { termWords } from '#core/wording/term-words';
import { ChoiceField } from '../components/choice-field';
import { useWorkbench } from '../workbench/workbench-context';
import type { CandidateChange } from './make-up-panel';
import { PlanEntryFields } from './plan-entry-fields';
import { planChoices as words } from './words/plan-choices';

/** The plans of a candidate, of one vendor or several, each with its term. */
export function PlanChoices({ candidate, onChange }: { candidate: Candidate; onChange: CandidateChange }) {
  const { sheets } = useWorkbench().state.workbench;
  const sold = sheets.flatMap(({ sheet }) =>
    sheet.kind === 'offer'
      ? sheet.offer.plans.map((plan) => ({
          plan,
          label: `${sheet.offer.label || sheet.offer.vendor} ${plan.label}`.trim() || words.withoutAName,
        }))
      : [],
  );
  const priced = sold.filter(({ plan }) => plan.terms.length > 0);
  const firstTerm = (id: string) => priced.find(({ plan }) => plan.id === id)?.plan.terms[0]?.id ?? '';
  const unused = priced.filter(({ plan }) => !candidate.plans.some((used) => used.plan === plan.id));
  const change = (key: string, plans: (former: Candidate['plans']) => Candidate['plans']) =>
    onChange(key, words.thePlans, (one) => ({ ...one, plans: plans(one.plans) }));
  return (
    <fieldset className="plan-choices">
      <legend>{words.plans}</legend>
      {candidate.plans.map(({ plan: id, term }, index) => {
        const found = sold.find(({ plan }) => plan.id === id);
        return (
          <div key={id} className="plan-choice">
            {!found && <p className="problem">{words.aPlanThatIsNoLonger}</p>}
            <ChoiceField
              label={index === 0 ? words.plan : words.and}
              searchable
              value={found ? id : undefined}
              placeholder={words.chooseAPlan}
              options={[...(found ? [found] : []), ...unused.filter((one) => one !== found)].map(({ plan, label }) => ({
                value: plan.id,
                label,
              }))}
              onChange={(next) =>
                change(`plan.${index}`, (plans) =>
                  plans.map((used, at) => (at === index ? { ...used, plan: next, term: firstTerm(next) } : used)),
                )
              }
            />
            {found && (
              <ChoiceField
                label={words.isPaid(found.plan.label || words.thePlan)}
                value={found.plan.terms.some((one) => one.id === term) ? term : undefined}
                placeholder={words.chooseATerm}
                options={found.plan.terms.map((one) => ({ value: one.id, label: termWords(one.months) }))}
                onChange={(next) =>
                  change(`term.${index}`, (plans) => plans.map((used, at) => (at === index ? { ...used, term: next } : used)))
                }
              />
            )}
            {found && (
              <PlanEntryFields
                candidate={candidate}
                index={index}
                onChange={(field, entry) =>
                  change(`plan.${index}.${field}`, (plans) => plans.map((used, at) => (at === index ? entry(used) : used)))
                }
              />
            )}
            {candidate.plans.length > 1 && (
              <Button
                type="text"
                size="small"
                aria-label={words.without(found?.label ?? words.thisPlan)}
                onClick={() => change(`plan.${index}.removed`, (plans) => plans.filter((_, at) => at !== index))}
              >
                {words.withoutIt}
              </Button>
            )}
          </div>
        );
      })}
      {unused.length > 0 && (
        <ChoiceField
          label={words.withAPlanOfAnother}
          searchable
          value={undefined}
          placeholder={words.hostingAMailingTool}
          options={unused.map(({ plan, label }) => ({ value: plan.id, label }))}
          onChange={(next) => change(`plan.added.${next}`, (plans) => [...plans, { plan: next, term: firstTerm(next) }])}
        />
      )}
    </fieldset>
  );
}
