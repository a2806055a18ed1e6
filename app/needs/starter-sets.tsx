import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { needsOfSets, STARTER_SETS, withStarterSets } from '#core/needs/starter-sets';
import { needKey, needWords } from '#core/wording/need-words';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { starterSets as words } from './words';

const USUAL = ['everybody'];

/** Needs to begin with, by what one sells; taken in one go and pruned afterwards. */
export function StarterSets() {
  const { needs = [] } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const [chosen, setChosen] = useState<readonly string[]>(USUAL);
  const present = new Set(needs.map(needKey));
  const fresh = needsOfSets(chosen).filter((need) => !present.has(needKey(need)));
  return (
    <section className="starter-sets" aria-label={words.needsToBeginWith}>
      <p>{words.iSell}</p>
      <div className="starter-choices">
        {STARTER_SETS.map(({ id, label }) => (
          <Checkbox
            key={id}
            checked={chosen.includes(id)}
            onChange={({ target }) => setChosen(target.checked ? [...chosen, id] : chosen.filter((one) => one !== id))}
          >
            {label}
          </Checkbox>
        ))}
      </div>
      <p className="quiet">
        {fresh.length === 0
          ? words.nothingThatIsNotOnThe
          : fresh.map((need) => `${needWords(need)}${need.level === 'must' ? ' (must)' : ''}`).join(' · ')}
      </p>
      <Button
        type="primary"
        disabled={fresh.length === 0}
        onClick={() =>
          edits.decision('needs.sets', words.changeOfNeeds, (one) => ({ ...one, needs: withStarterSets(one.needs ?? [], chosen) }))
        }
      >
        {fresh.length === 0 ? words.takeThem : words.takeThese(fresh.length)}
      </Button>
    </section>
  );
}
