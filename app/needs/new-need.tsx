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
import { newNeed as texts } from './words';

const KINDS: ReadonlyArray<{ value: StatedKind; label: string }> = [
  { value: 'yes-no', label: texts.isThere },
  { value: 'at-least', label: texts.atLeastSoMany },
  { value: 'connects', label: texts.connectsWithSomethingI },
  { value: 'without', label: texts.mustNotBeThere },
];

const EXAMPLES: Readonly<Partial<Record<StatedKind, string>>> = { connects: texts.theBookkeeping, 'at-least': 'languages' };

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
        edits.decision(`need.${needKey(need)}`, texts.aNeed, (one) => withNeed(one, need));
        setWords('');
      }}
    >
      <TextField label={texts.somethingElseItMust} value={words} placeholder={EXAMPLES[kind] ?? texts.giftCards} onChange={setWords} />
      <ChoiceField<StatedKind> label={texts.which} value={kind} options={KINDS} onChange={setKind} />
      <Button htmlType="submit" disabled={!need || same !== undefined}>
        {texts.add}
      </Button>
      {same && <span className="field-problem">{texts.isOnTheList(needWords(same))}</span>}
    </form>
  );
}
