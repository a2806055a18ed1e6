import type { Chosen } from '#core/verdict/give';
import type { Choice } from '#core/decision/verdict-schema';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { choiceForm as words } from './words';

const KINDS = [
  { value: 'candidate', label: words.oneCandidate },
  { value: 'together', label: words.twoTogether },
  { value: 'route', label: words.aWayWithMoves },
] as const;

/** What is chosen: one candidate, two beside each other with their streams, or the way through the horizon. */
export function ChoiceForm({ choice, chosen }: { choice: Choice; chosen: Chosen | null }) {
  const { state, atForecast } = useWorkbench();
  const edits = useEdits();
  const write = useWriter();
  const { columns } = atForecast.lineUp;
  const { streams } = state.workbench.decision.forecast;
  const change = (part: Partial<Choice>) =>
    edits.decision('choice', words.theChoice, (one) => ({ ...one, choice: { ...choice, ...one.choice, ...part } }));
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
        label={words.choose}
        value={choice.kind}
        options={KINDS.filter(({ value }) => value !== 'together' || canBeTogether || choice.kind === 'together')}
        onChange={setKind}
      />
      {choice.kind !== 'route' && (
        <ChoiceField
          label={choice.kind === 'together' ? words.theFirst : words.candidate}
          searchable
          value={choice.candidates[0]}
          options={options}
          onChange={(id) => change({ candidates: choice.kind === 'together' ? [id, second] : [id] })}
        />
      )}
      {choice.kind === 'together' && (
        <>
          <ChoiceField
            label={words.and}
            searchable
            value={choice.candidates[1]}
            options={options.filter(({ value }) => value !== choice.candidates[0])}
            onChange={(id) => change({ candidates: [first, id] })}
          />
          <ChoicesField
            label={words.throughWhichGo}
            values={choice.streams ?? []}
            options={streams.map(({ id, label }) => ({ value: id, label: label || id }))}
            placeholder={words.noneYet}
            onChange={(chosenStreams) => change({ streams: chosenStreams })}
          />
        </>
      )}
      {chosen === null && <p className="problem">{choice.kind === 'route' ? words.noWayThroughThese : words.whatWasChosenIsNoLonger}</p>}
      {chosen !== null && !chosen.usable && <p className="problem">{words.outgrownOrLackingSomething}</p>}
    </div>
  );
}
