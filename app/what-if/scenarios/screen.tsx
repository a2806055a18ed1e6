import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { withoutScenario, withScenario, withScenarioTakenOver, type ScenarioOutcome } from '#core/what-if/scenarios';
import type { Scenario } from '#core/decision/what-if-schema';
import { allOrdersKey } from '#core/what-if/assumption';
import { keyParts } from '#core/what-if/changes';
import { DataTable } from '../../components/data-table';
import { CandidateTag } from '../../components/candidate-tag';
import { ChoiceField } from '../../components/choice-field';
import { NumberField } from '../../components/number-field';
import { TextField } from '../../components/text-field';
import { useWriter } from '../../locale/locale';
import { useAskedDecision, Working } from '../asked-decision';
import { AS_IT_IS, exampleScenarios, scenariosSentence } from './words';
import { changeWords, rangeUnit } from '../assumption-words';
import { KeepLevel } from '../keep-level';
import { useAssumptions } from '../use-assumptions';
import { useWhatIf } from '../use-what-if';
import { newId } from '../../workbench/new-id';
import { useEdits } from '../../workbench/use-edits';
import { useLevel, useWorkbench } from '../../workbench/workbench-context';
import { screen as texts } from './words';

const NONE: readonly Scenario[] = [];

/** What-ifs that were kept, side by side with what is expected. */
export default function Scenarios() {
  const { state, decisionId } = useWorkbench();
  const { file, nameOf, compared } = useAskedDecision();
  const { scale, priced: tried } = useLevel();
  const edits = useEdits();
  const write = useWriter();
  const scenarios = state.workbench.decision.whatIf?.scenarios ?? NONE;
  const orders = allOrdersKey(file);
  const examples = useMemo(() => (scenarios.length === 0 && orders !== null ? exampleScenarios(orders) : NONE), [scenarios, orders]);
  const all = useMemo(() => [AS_IT_IS, ...scenarios, ...examples], [scenarios, examples]);
  const question = useMemo(() => (file.candidates.length > 0 ? { kind: 'scenarios' as const, scenarios: all } : null), [all, file]);
  const { answer: outcomes, ...working } = useWhatIf<'scenarios'>(file, question);
  const [open, setOpen] = useState<string | null>(null);
  const opened = scenarios.find(({ id }) => id === open);
  const add = (changes: Scenario['changes'] = [], name = texts.scenarioScenarios(scenarios.length + 1)) => {
    const scenario: Scenario = { id: newId(), name, changes };
    edits.decision(`whatIf.scenarios.${scenario.id}`, texts.aScenario, (one) => withScenario(one, scenario));
    setOpen(scenario.id);
  };
  return (
    <>
      <main className="work" aria-label={texts.scenarios} aria-busy={working.isBusy}>
        {scenarios.length === 0 ? (
          <>
            <h2>{texts.noScenarioIsKept}</h2>
            <p className="limit-width">
              {texts.lookAtAPoint(
                <Link to={`/decisions/${decisionId}/what-if/map`}>{texts.map}</Link>,
                <Link to={`/decisions/${decisionId}/what-if/offers`}>{texts.offer}</Link>,
              )}
            </p>
          </>
        ) : (
          <p className="says">{scenariosSentence(outcomes ?? [], scenarios, nameOf, compared)}</p>
        )}
        {examples.length > 0 && outcomes && (
          <p className="says">{texts.twoExamplesToKeep(scenariosSentence(outcomes, examples, nameOf, compared))}</p>
        )}
        {all.length > 1 && (
          <DataTable
            className="scenarios"
            rows={all.map((scenario) => ({ scenario, outcome: outcomes?.find(({ id }) => id === scenario.id) }))}
            keyOf={({ scenario }) => scenario.id}
            rowClass={({ scenario }) => (scenario.id === open ? 'is-chosen' : '')}
            columns={[
              {
                head: texts.scenario,
                kind: 'names-row',
                cell: ({ scenario }) => (
                  <ScenarioName
                    scenario={scenario}
                    onKeep={examples.includes(scenario) ? () => add(scenario.changes, scenario.name) : null}
                    isOpen={scenario.id === open}
                    onOpen={() => setOpen(scenario.id === open || scenario === AS_IT_IS ? null : scenario.id)}
                  />
                ),
              },
              { head: texts.salesAMonth, kind: 'figures', cell: ({ outcome }) => (outcome ? write.whole(outcome.average.sales) : '…') },
              { head: texts.cheapest, cell: ({ outcome }) => <ScenarioLeader outcome={outcome} /> },
              {
                head: texts.total,
                kind: 'figures',
                cell: ({ outcome }) => (outcome?.standing ? write.whole(outcome.standing.total) : '–'),
              },
              {
                head: texts.aheadOf,
                cell: ({ outcome }) =>
                  outcome?.standing?.margin == null ? '–' : texts.by(nameOf(outcome.standing.second), write.whole(outcome.standing.margin)),
              },
            ]}
          />
        )}
        {scale !== 1 && <KeepLevel scale={scale} suggestion={texts.salesOfAMonth(write.whole(tried.average.sales))} />}
        <p className="add-row">
          <Button onClick={() => add()}>{texts.beginAScenario}</Button>
        </p>
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={texts.theScenario} aria-live="polite">
        {opened ? (
          <ScenarioForm
            key={opened.id}
            scenario={opened}
            onGone={() => setOpen(null)}
            outcome={outcomes?.find(({ id }) => id === opened.id)}
          />
        ) : (
          <p className="quiet">
            {texts.chooseAScenarioToChange(
              scenarios.length > 0 && outcomes && texts.amountsAreInOver(file.currency, write.whole(String(file.months))),
            )}
          </p>
        )}
      </aside>
    </>
  );
}

interface ScenarioNameProps {
  scenario: Scenario;
  isOpen: boolean;
  /** Keeps it, where it is an example only. */
  onKeep: (() => void) | null;
  onOpen(): void;
}

function ScenarioName({ scenario, isOpen, onKeep, onOpen }: ScenarioNameProps) {
  const { find } = useAssumptions();
  const write = useWriter();
  const off = scenario.offersOff?.length ?? 0;
  const words = [
    ...scenario.changes.map(({ key, value }) => {
      const assumption = find(key);
      return assumption ? `${assumption.label} ${changeWords(assumption, Number(value), write)}` : texts.somethingThatIsNotThere;
    }),
    ...(off > 0 ? [texts.without(off === 1 ? texts.aSpecialOffer : texts.specialOffers(off))] : []),
  ];
  return (
    <>
      {scenario === AS_IT_IS || onKeep ? (
        <b>{scenario.name}</b>
      ) : (
        <button type="button" className="candidate-line" aria-expanded={isOpen} onClick={onOpen}>
          <b>{scenario.name}</b>
        </button>
      )}
      {words.length > 0 && <small className="block">{words.join('; ')}</small>}
      {onKeep && (
        <Button type="link" size="small" aria-label={texts.keep(scenario.name)} onClick={onKeep}>
          {texts.keepIt}
        </Button>
      )}
    </>
  );
}

function ScenarioLeader({ outcome }: { outcome: ScenarioOutcome | undefined }) {
  const { nameOf } = useAskedDecision();
  if (!outcome) return '…';
  if (!outcome.standing) return texts.noCandidateCanBeChosen;
  return (
    <>
      <CandidateTag id={outcome.standing.first} /> {nameOf(outcome.standing.first)}
    </>
  );
}

function ScenarioForm({ scenario, outcome, onGone }: { scenario: Scenario; outcome: ScenarioOutcome | undefined; onGone(): void }) {
  const { file } = useAskedDecision();
  const { varied, find } = useAssumptions();
  const edits = useEdits();
  const keep = (key: string, next: Scenario) =>
    edits.decision(`whatIf.scenarios.${scenario.id}.${key}`, texts.theScenarioNext(next.name), (one) => withScenario(one, next));
  const setChange = (key: string, value: string) =>
    keep(key, { ...scenario, changes: scenario.changes.map((change) => (change.key === key ? { key, value } : change)) });
  const left = varied.filter(({ assumption }) => !scenario.changes.some(({ key }) => key === assumption.key));
  const prices = scenario.changes.filter(({ key }) => keyParts(key)[0] === 'price').length + (scenario.offersOff?.length ?? 0);
  return (
    <div className="scenario-form">
      <TextField label={texts.name} value={scenario.name} onChange={(name) => keep('name', { ...scenario, name })} />
      {scenario.changes.map(({ key, value }) => {
        const assumption = find(key);
        const [least, most] = assumption?.bounds ?? [-100, 1000];
        return (
          <div className="scenario-change" key={key}>
            <NumberField
              fieldKey={`scenario ${scenario.id} ${key}`}
              label={assumption?.label ?? texts.notThereAnyMore}
              value={value}
              range={{ wanted: texts.aNumber, least, most }}
              suffix={assumption ? rangeUnit(assumption, file.currency) : ''}
              onChange={(next) => typeof next === 'string' && setChange(key, next)}
            />
            <Button
              type="text"
              size="small"
              onClick={() => keep(`${key}.removed`, { ...scenario, changes: scenario.changes.filter((change) => change.key !== key) })}
            >
              {texts.asItIs}
            </Button>
          </div>
        );
      })}
      {outcome && outcome.idle.length > 0 && <p className="problem">{texts.somethingItAssumesIsAbout}</p>}
      {left.length > 0 && (
        <ChoiceField
          label={texts.assumeOtherwise}
          value={undefined}
          searchable
          placeholder={texts.choose}
          options={left.map(({ assumption: { key, label } }) => ({ value: key, label }))}
          onChange={(key) => {
            const assumption = find(key);
            if (assumption) keep(`${key}.added`, { ...scenario, changes: [...scenario.changes, { key, value: String(assumption.asIs) }] });
          }}
        />
      )}
      <p className="add-row">
        <Button
          disabled={scenario.changes.length === 0}
          onClick={() =>
            edits.decision(`whatIf.taken.${scenario.id}`, texts.asForecast(scenario.name), (one) => withScenarioTakenOver(one, scenario))
          }
        >
          {texts.applyToMyForecast}
        </Button>
        <Button
          type="text"
          onClick={() => {
            edits.decision(`whatIf.scenarios.${scenario.id}.gone`, texts.removed(scenario.name), (one) =>
              withoutScenario(one, scenario.id),
            );
            onGone();
          }}
        >
          {texts.remove}
        </Button>
      </p>
      <p className="quiet">{texts.applyingItChangesYourExpected(prices > 0 && texts.pricesAndOffersStay)}</p>
    </div>
  );
}
