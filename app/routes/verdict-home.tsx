import { Button } from 'antd';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { sheetLabel } from '#core/decision/sheet-label';
import { type Chosen, chosenNow, giveVerdict, proposedChoice } from '#core/verdict/give';
import { isModest, openQuestions } from '#core/verdict/open-questions';
import { choiceOf, since } from '#core/verdict/since';
import type { Choice, GivenVerdict } from '#core/decision/verdict-schema';
import type { VerdictBasis } from '#core/verdict/basis';
import { chanceOfChoice, withChances } from '#core/verdict/by-chance';
import * as places from '../first-steps/places-in-words';
import { LongTextField } from '../components/long-text-field';
import { useWriter } from '../locale/locale';
import { ChoiceForm } from '../verdict/choice-form';
import { ConditionsTable } from '../verdict/conditions-table';
import { GivenVerdictView } from '../verdict/given-verdict';
import { useVerdictBasis } from '../verdict/use-verdict';
import {
  chosenByChance,
  chosenSentence,
  openWords,
  sinceSentence,
  suitsSentence,
  thresholdWords,
  togetherWords,
} from '../verdict/verdict-words';
import { VerdictDifferenceView } from '../verdict/verdict-difference';
import { Fold } from '../components/fold';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../what-if/asked-decision';
import { useChance } from '../what-if/chance/use-chance';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { price, useStore, useWorkbench } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/verdict-home';
import { verdictHome as words } from './words/verdict-home';
import { capital } from '#core/wording/capital';

export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, todayHere);
}

/** Which one, under which conditions, and why. */
export default function VerdictHome({ loaderData }: Route.ComponentProps) {
  return (
    <NothingToAsk needs="one" place={places.verdict}>
      <VerdictInTheMaking today={loaderData.today} />
    </NothingToAsk>
  );
}

function VerdictInTheMaking({ today }: { today: string }) {
  const { state, version, decisionId } = useWorkbench();
  const { file, priced, nameOf } = useAskedDecision();
  const write = useWriter();
  const edits = useEdits();
  const { workbench } = state;
  const { choice: begun, verdicts = [] } = workbench.decision;
  const { basis, ...working } = useVerdictBasis();
  const { answer: chance, ...chanceWorking } = useChance(file, workbench.decision);
  const proposed = useMemo(() => proposedChoice(priced.priced), [priced]);
  const choice = begun ?? proposed;
  // Only a way with moves has to wait for what is worked out beside the interface.
  const isWaiting = choice?.kind === 'route' && (basis === null || working.isBusy);
  const chosen = useMemo(
    () =>
      choice && !isWaiting
        ? chosenNow({ workbench, priced: priced.priced, lineUp: priced.lineUp, basis: basis ?? { route: null } }, choice)
        : null,
    [workbench, priced, basis, choice, isWaiting],
  );
  const open = useMemo(() => openQuestions(workbench, priced.priced, basis?.mayWin ?? [], today), [workbench, priced, basis, today]);
  const setWords = (part: Partial<Choice>, base: Choice) =>
    edits.decision(`choice.${Object.keys(part)[0] ?? ''}`, words.theReason, (one) => ({
      ...one,
      choice: { ...base, ...one.choice, ...part },
    }));
  const give = () => {
    if (!choice || !basis) return;
    const given = giveVerdict({ workbench, priced: priced.priced, lineUp: priced.lineUp, basis, chance, version, today }, choice, newId());
    if (given)
      edits.decision(`verdicts.${given.id}`, words.aVerdictGiven, (one) => ({
        ...one,
        choice,
        verdicts: [...(one.verdicts ?? []), given],
      }));
  };
  const suits = chosen?.parts.length === 1 && chosen.parts[0] ? basis?.suits[chosen.parts[0].candidate] : undefined;
  return (
    <>
      <main className="work verdict" aria-label={words.verdict} aria-busy={working.isBusy}>
        {basis && <HowItStands verdicts={verdicts} basis={basis} />}
        {choice === null && <NobodyToChoose />}
        {choice && (
          <>
            <p className="says" data-verdict>
              {chosen ? chosenSentence(chosen, file.months, write) : ''} {isModest(open) && <em>{words.provisionalAnswerTheOpen}</em>}
            </p>
            {chosen && choice.kind === 'candidate' && (
              <p className="says-small">{chosenByChance(chanceOfChoice(chance, choice.candidates), write)}</p>
            )}
            {chosen?.shared && <p>{togetherWords(chosen, file.currency, write)}</p>}
            <ChoiceForm choice={choice} chosen={isWaiting ? NOT_YET : chosen} />
            {basis && (
              <>
                <h2>{words.underWhichConditions}</h2>
                <ConditionsTable
                  conditions={withChances(basis.conditions, chance)}
                  chosen={chosen?.parts.map(({ candidate }) => candidate) ?? []}
                  nameOf={nameOf}
                />
                <h2>{words.whatWouldChangeIt}</h2>
                {basis.thresholds.length === 0 && <p>{words.nothingThatWasLooked}</p>}
                <ul className="plain-list">
                  {basis.thresholds.map((threshold) => (
                    <li key={`${threshold.key} ${threshold.at}`}>{thresholdWords(threshold, nameOf, write, priced.lineUp.by)}.</li>
                  ))}
                </ul>
              </>
            )}
            <LongTextField
              lines={3}
              label={words.bestForWhomInYourOwn}
              placeholder={suitsSentence(suits, write)}
              value={choice.forWhom ?? ''}
              onChange={(forWhom) => setWords({ forWhom }, choice)}
            />
            <LongTextField label={words.whyInYourOwn} value={choice.reason} onChange={(reason) => setWords({ reason }, choice)} />
            <p className="add-row">
              <Button type="primary" disabled={!chosen || !basis || working.isBusy || chanceWorking.isBusy} onClick={give}>
                {words.giveThisVerdict}
              </Button>{' '}
              <span className="quiet">{words.itIsDatedAndStays(write.day(today))}</span>
            </p>
          </>
        )}
        {verdicts.length > 0 && <Given verdicts={verdicts} />}
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={words.whatItRestsOn}>
        {open.length > 0 && (
          <section className={isModest(open) ? 'is-modest' : ''}>
            <h2>{isModest(open) ? words.forNowFindOut : words.stillOpen}</h2>
            <ul className="plain-list">
              {open.map((question) => (
                <li key={question.kind}>{openWords(question, write)}</li>
              ))}
            </ul>
          </section>
        )}
        <RestsOn />
        <p className="quiet">{words.theStandsBesideTheCost(<Link to={`/decisions/${decisionId}/line-up/fit`}>{words.fit}</Link>)}</p>
      </aside>
    </>
  );
}

/** Until the way is worked out, nothing is said against it. */
const NOT_YET: Chosen = { parts: [], total: null, keep: null, atLeast: false, usable: true, runnerUp: null };

/** The newest verdict against what its choice comes to now. */
function HowItStands({ verdicts, basis }: { verdicts: readonly GivenVerdict[]; basis: VerdictBasis }) {
  const { state, version } = useWorkbench();
  const write = useWriter();
  const newest = verdicts.at(-1);
  // A way is worked out for the version that is shown alone.
  if (!newest || (newest.kind === 'route' && newest.version !== version)) return null;
  const { priced, lineUp } = price(state.workbench, newest.version);
  const now = chosenNow({ workbench: state.workbench, priced, lineUp, basis }, choiceOf(newest, state.workbench.decision.forecast.streams));
  const stands = since(newest, now, priced.pricing.file);
  return (
    <p className={`stands ${stands.standing === 'holds' ? '' : 'is-shaken'}`} role="status">
      <b>{words.verdictOf(write.day(newest.on))}</b> {sinceSentence(newest, stands, write)}
    </p>
  );
}

function RestsOn() {
  const { state, version, atForecast } = useWorkbench();
  const { file } = useAskedDecision();
  const write = useWriter();
  return (
    <section>
      <h2>{words.whatItRestsOn}</h2>
      <p>
        {words.salesAMonthOrders({
          version: capital(version),
          sales: write.amount(atForecast.average.sales),
          orders: write.orders(atForecast.average.orders),
          months: file.months,
          start: write.month(file.start),
        })}
      </p>
      <ul className="plain-list">
        {state.workbench.sheets.map(({ id, sheet }) => (
          <li key={id}>
            {sheetLabel(sheet)},{' '}
            <span className={sheet.seen ? 'quiet' : 'lacks'}>{sheet.seen ? words.seen(write.day(sheet.seen)) : words.notDated}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Verdicts that were given, the newest first, each with what changed since the one before. */
function Given({ verdicts }: { verdicts: readonly GivenVerdict[] }) {
  const { decisionId } = useStore();
  const edits = useEdits();
  const write = useWriter();
  const newestFirst = [...verdicts].reverse();
  return (
    <section>
      <h2>{words.givenVerdicts}</h2>
      {newestFirst.map((verdict, index) => {
        const before = newestFirst[index + 1];
        return (
          <div key={verdict.id}>
            <GivenVerdictView
              verdict={verdict}
              reportTo={`/decisions/${decisionId}/verdict/report?verdict=${verdict.id}`}
              {...(index === 0
                ? {
                    onWithdraw: () =>
                      edits.decision(`verdicts.${verdict.id}`, words.aVerdictWithdrawn, (one) => ({
                        ...one,
                        verdicts: (one.verdicts ?? []).filter(({ id }) => id !== verdict.id),
                      })),
                  }
                : {})}
            />
            {before && (
              <Fold summary={words.whatChangedSince(write.day(before.on))}>
                <VerdictDifferenceView before={before} after={verdict} />
              </Fold>
            )}
          </div>
        );
      })}
    </section>
  );
}
