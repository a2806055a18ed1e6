import type { Chosen } from '#core/verdict/give';
import type { Choice } from '#core/decision/verdict-schema';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';

const KINDS = [
  { value: 'candidate', label: 'one candidate' },
  { value: 'together', label: 'two together' },
  { value: 'route', label: 'a way with moves' },
] as const;

/** What is chosen: one candidate, two beside each other with their streams, or the way through the horizon. */
export function ChoiceForm({ choice, chosen }: { choice: Choice; chosen: Chosen | null }) {
  const { state, atForecast } = useWorkbench();
  const edits = useEdits();
  const write = useWriter();
  const { columns } = atForecast.lineUp;
  const { streams } = state.workbench.decision.forecast;
  const change = (part: Partial<Choice>) =>
    edits.decision('choice', 'the choice', (one) => ({ ...one, choice: { ...choice, ...one.choice, ...part } }));
  const options = columns.map(({ id, label, result }) => ({ value: id, label: `${id} ${label}, ${write.amount(result.total)}` }));
  const [first = columns[0]?.id ?? '', second = columns.find(({ id }) => id !== choice.candidates[0])?.id ?? ''] = choice.candidates;
  const setKind = (kind: Choice['kind']) => {
    if (kind === 'route') return change({ kind, candidates: [] });
    if (kind === 'candidate') return change({ kind, candidates: [first] });
    change({
      kind,
      candidates: [first, second === first ? (columns.find(({ id }) => id !== first)?.id ?? '') : second],
      streams: choice.streams ?? streams.slice(-1).map(({ id }) => id),
    });
  };
  const canBeTogether = columns.length > 1 && streams.length > 1;
  return (
    <div className="choice-form">
      <ChoiceField
        label="Choose"
        value={choice.kind}
        options={KINDS.filter(({ value }) => value !== 'together' || canBeTogether || choice.kind === 'together')}
        onChange={setKind}
      />
      {choice.kind !== 'route' && (
        <ChoiceField
          label={choice.kind === 'together' ? 'The first' : 'Candidate'}
          searchable
          value={choice.candidates[0]}
          options={options}
          onChange={(id) => change({ candidates: choice.kind === 'together' ? [id, second] : [id] })}
        />
      )}
      {choice.kind === 'together' && (
        <>
          <ChoiceField
            label="and"
            searchable
            value={choice.candidates[1]}
            options={options.filter(({ value }) => value !== choice.candidates[0])}
            onChange={(id) => change({ candidates: [first, id] })}
          />
          <ChoicesField
            label="through which go"
            values={choice.streams ?? []}
            options={streams.map(({ id, label }) => ({ value: id, label: label || id }))}
            placeholder="none yet"
            onChange={(chosenStreams) => change({ streams: chosenStreams })}
          />
        </>
      )}
      {chosen === null && (
        <p className="problem">
          {choice.kind === 'route' ? 'No way through these months exists.' : 'What was chosen is no longer being compared. Choose another.'}
        </p>
      )}
      {chosen !== null && !chosen.usable && <p className="problem">Outgrown or lacking something: the comparison says what.</p>}
    </div>
  );
}
