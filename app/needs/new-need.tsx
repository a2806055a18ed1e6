import { Button } from 'antd';
import { useState } from 'react';
import { newNeed, type StatedKind, withNeed } from '#core/needs/edit-needs';
import { needKey, needWords } from '#core/wording/need-words';
import { ChoiceField } from '../components/choice-field';
import { TextField } from '../components/text-field';
import { useKnownQuantities } from '../price-sheets/known-quantities';
import { useEdits } from '../workbench/use-edits';
import { useKeptText } from '../workbench/use-kept-text';
import { useWorkbench } from '../workbench/workbench-context';

const KINDS: ReadonlyArray<{ value: StatedKind; label: string }> = [
  { value: 'yes-no', label: 'is there' },
  { value: 'at-least', label: 'at least so many' },
  { value: 'connects', label: 'connects with something I keep' },
  { value: 'without', label: 'must not be there' },
];

const EXAMPLES: Readonly<Partial<Record<StatedKind, string>>> = { connects: 'the bookkeeping', 'at-least': 'languages' };

/** The line that adds a need in one's own words. */
export function NewNeed() {
  const { state, decisionId } = useWorkbench();
  const { needs = [] } = state.workbench.decision;
  const edits = useEdits();
  const known = useKnownQuantities();
  const [words, setWords] = useKeptText(`need.${decisionId}`);
  const [kind, setKind] = useState<StatedKind>('yes-no');
  const need = words.trim() === '' ? null : newNeed(words, kind, known);
  const same = need && needs.find((other) => needKey(other) === needKey(need));
  return (
    <form
      className="add-row"
      onSubmit={(event) => {
        event.preventDefault();
        if (!need || same) return;
        edits.decision(`need.${needKey(need)}`, 'a need', (one) => withNeed(one, need));
        setWords('');
      }}
    >
      <TextField
        label="Something else it must or should do"
        value={words}
        placeholder={EXAMPLES[kind] ?? 'gift cards'}
        onChange={setWords}
      />
      <ChoiceField<StatedKind> label="Which" value={kind} options={KINDS} onChange={setKind} />
      <Button htmlType="submit" disabled={!need || same !== undefined}>
        Add
      </Button>
      {same && <span className="field-problem">“{needWords(same)}” is on the list already.</span>}
    </form>
  );
}
