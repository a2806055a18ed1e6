import type { ComparedBy } from '#core/decision-file/compared-by';
import { ChoiceField } from '../components/choice-field';
import { useEdits } from './use-edits';
import { useWorkbench } from './workbench-context';
import { comparedByChoice as words } from './words/compared-by-choice';

const OPTIONS = [
  { value: 'cost', label: words.costsLeast },
  { value: 'keep', label: words.leavesYouMost },
] as const;

/** By what candidates are compared, at every place of the decision. */
export function ComparedByChoice({ label }: { label: string }) {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  return (
    <ChoiceField
      label={label}
      value={decision.comparedBy ?? decision.whatIf?.moving?.by ?? 'cost'}
      options={OPTIONS}
      onChange={(comparedBy: ComparedBy) => edits.decision('comparedBy', words.whatDecides, (one) => ({ ...one, comparedBy }))}
    />
  );
}
