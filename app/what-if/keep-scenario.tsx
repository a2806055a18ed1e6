import { Button } from 'antd';
import Input from 'antd/es/input/Input';
import { useId, useState } from 'react';
import { withScenario } from '#core/what-if/scenarios';
import type { Change } from '#core/what-if/changes';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { keepScenario as words } from './words';

/** Keeps what is being looked at as a scenario, under a name. */
export function KeepScenario({
  suggestion,
  changes,
  offersOff,
}: {
  suggestion: string;
  changes: readonly Change[];
  offersOff?: readonly string[];
}) {
  const edits = useEdits();
  const id = useId();
  const [name, setName] = useState<string | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const keep = () => {
    const called = (name ?? suggestion).trim() || suggestion;
    const scenario = {
      id: newId(),
      name: called.slice(0, 300),
      changes: changes.map((change) => ({ ...change })),
      ...(offersOff && offersOff.length > 0 ? { offersOff: [...offersOff] } : {}),
    };
    edits.decision(`whatIf.scenarios.${scenario.id}`, words.theScenario(called), (one) => withScenario(one, scenario));
    setKept(called);
    setName(null);
  };
  return (
    <form
      className="keep-scenario"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <span className="field">
        <label htmlFor={id} className="field-label">
          {words.keepThisAsAScenario}
        </label>
        <Input
          id={id}
          variant="underlined"
          autoComplete="off"
          maxLength={300}
          value={name ?? suggestion}
          onChange={({ target }) => setName(target.value)}
        />
      </span>
      <Button htmlType="submit" size="small">
        {words.keep}
      </Button>
      {kept && (
        <p className="quiet" role="status">
          {words.isKeptAmongTheScenarios(kept)}
        </p>
      )}
    </form>
  );
}
