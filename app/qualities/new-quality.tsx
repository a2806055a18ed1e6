import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { withQualities } from '#core/qualities/edit-qualities';
import { SOURCE_UNITS, USUAL_QUALITIES } from '#core/qualities/usual-qualities';
import { TextField } from '../components/text-field';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useKeptText } from '../workbench/use-kept-text';
import { useStore, useWorkbench } from '../workbench/workbench-context';
import { newQuality as words } from './words';

/** Qualities that usually count, to be taken in one go. */
export function UsualQualities() {
  const { qualities = [] } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const open = USUAL_QUALITIES.filter(({ id }) => !qualities.some((one) => one.id === id));
  const [left, setLeft] = useState<readonly string[]>([]);
  const chosen = open.filter(({ id }) => !left.includes(id));
  if (open.length === 0) return null;
  return (
    <section className="starter-sets" aria-label={words.qualitiesToBeginWith}>
      <div className="starter-choices">
        {open.map(({ id, label, source }) => (
          <Checkbox
            key={id}
            checked={!left.includes(id)}
            onChange={({ target }) => setLeft(target.checked ? left.filter((one) => one !== id) : [...left, id])}
          >
            {label} <small>{SOURCE_UNITS[source] || words.marks1To5}</small>
          </Checkbox>
        ))}
      </div>
      <Button
        type="primary"
        disabled={chosen.length === 0}
        onClick={() => edits.decision('qualities.usual', words.changeOfQualities, (one) => withQualities(one, chosen))}
      >
        {words.takeThese(chosen.length)}
      </Button>
    </section>
  );
}

/** A quality of one's own, marked by hand from 1 to 5. */
export function NewQuality({ onAdded }: { onAdded(id: string): void }) {
  const edits = useEdits();
  const { decisionId } = useStore();
  const [label, setLabel] = useKeptText(`quality.${decisionId}`);
  return (
    <form
      className="add-row"
      onSubmit={(event) => {
        event.preventDefault();
        if (label.trim() === '') return;
        const id = newId();
        edits.decision(`quality.${id}`, words.aQuality, (one) =>
          withQualities(one, [{ id, label: label.trim(), weight: '2', source: 'mark', worst: '1', best: '5', together: 'weakest' }]),
        );
        setLabel('');
        onAdded(id);
      }}
    >
      <TextField label={words.somethingElseThatCounts} value={label} placeholder={words.howItFeelsToWork} onChange={setLabel} />
      <Button htmlType="submit" disabled={label.trim() === ''}>
        {words.add}
      </Button>
    </form>
  );
}
