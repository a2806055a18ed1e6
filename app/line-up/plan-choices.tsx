import { Button } from 'antd';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { termWords } from '#core/wording/term-words';
import { ChoiceField } from '../components/choice-field';
import { useWorkbench } from '../workbench/workbench-context';
import type { CandidateChange } from './make-up-panel';
import { PlanEntryFields } from './plan-entry-fields';

/** The plans of a candidate, of one vendor or several, each with its term. */
export function PlanChoices({ candidate, onChange }: { candidate: Candidate; onChange: CandidateChange }) {
  const { sheets } = useWorkbench().state.workbench;
  const sold = sheets.flatMap(({ sheet }) =>
    sheet.kind === 'offer'
      ? sheet.offer.plans.map((plan) => ({
          plan,
          label: `${sheet.offer.label || sheet.offer.vendor} ${plan.label}`.trim() || 'without a name',
        }))
      : [],
  );
  const priced = sold.filter(({ plan }) => plan.terms.length > 0);
  const firstTerm = (id: string) => priced.find(({ plan }) => plan.id === id)?.plan.terms[0]?.id ?? '';
  const unused = priced.filter(({ plan }) => !candidate.plans.some((used) => used.plan === plan.id));
  const change = (key: string, plans: (former: Candidate['plans']) => Candidate['plans']) =>
    onChange(key, 'the plans', (one) => ({ ...one, plans: plans(one.plans) }));
  return (
    <fieldset className="plan-choices">
      <legend>Plans</legend>
      {candidate.plans.map(({ plan: id, term }, index) => {
        const found = sold.find(({ plan }) => plan.id === id);
        return (
          <div key={id} className="plan-choice">
            {!found && (
              <p className="problem">
                A plan that is no longer on a price sheet of this decision. Choose another, or undo what took it off.
              </p>
            )}
            <ChoiceField
              label={index === 0 ? 'Plan' : 'And'}
              searchable
              value={found ? id : undefined}
              placeholder="choose a plan"
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
                label={`${found.plan.label || 'The plan'} is paid`}
                value={found.plan.terms.some((one) => one.id === term) ? term : undefined}
                placeholder="choose a term"
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
                aria-label={`Without ${found?.label ?? 'this plan'}`}
                onClick={() => change(`plan.${index}.removed`, (plans) => plans.filter((_, at) => at !== index))}
              >
                without it
              </Button>
            )}
          </div>
        );
      })}
      {unused.length > 0 && (
        <ChoiceField
          label="With a plan of another vendor"
          searchable
          value={undefined}
          placeholder="hosting, a mailing tool …"
          options={unused.map(({ plan, label }) => ({ value: plan.id, label }))}
          onChange={(next) => change(`plan.added.${next}`, (plans) => [...plans, { plan: next, term: firstTerm(next) }])}
        />
      )}
    </fieldset>
  );
}
