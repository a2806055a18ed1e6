import { Button } from 'antd';
import { followedChange, withNoted, withPinned } from '#core/proposals/edit-followed';
import { proposedFor } from '#core/proposals/followed';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench, useWorked } from '../workbench/workbench-context';
import { changes as words } from './words/changes';

/** What has changed about candidates that follow a proposal, since the person last looked. */
export function FollowedChanges({ today }: { today: string }) {
  const { state } = useWorkbench();
  const worked = useWorked();
  const edits = useEdits();
  const write = useWriter();
  const { workbench } = state;
  const proposals = worked.proposals;
  if (!proposals || worked.isProposing) return null;
  const changes = (workbench.decision.followed ?? []).flatMap((followed) => {
    const proposed = proposedFor(proposals, followed);
    const change = followed.pinned ? null : followedChange(workbench, followed, proposed);
    return proposed && change ? [{ ...change, proposed }] : [];
  });
  const without = (workbench.decision.followed ?? []).flatMap(({ candidate, seen, ...followed }) =>
    seen && !followed.pinned && proposedFor(proposals, followed) === null ? [{ candidate, seen }] : [],
  );
  if (changes.length === 0 && without.length === 0) return null;
  const { currency } = workbench.decision;
  return (
    <section className="followed-changes" aria-label={words.whatHasChanged}>
      <h2>{words.whatHasChanged}</h2>
      <ul>
        {changes.map(({ followed, on, from, to, fromTotal, toTotal, by, proposed }) => (
          <li key={followed.candidate}>
            <p>
              {words.since({
                candidate: <CandidateTag id={followed.candidate} />,
                change:
                  from === to ? (
                    <>{words.nowWas(to, write.money(toTotal, currency), write.money(fromTotal, currency))}</>
                  ) : (
                    <>
                      {words.nowWasTo({
                        to: <b>{to}</b>,
                        toTotal: write.money(toTotal, currency),
                        from,
                        fromTotal: write.money(fromTotal, currency),
                      })}
                    </>
                  ),
                difference: write.difference(by),
                day: write.day(on),
              })}
            </p>
            <Button
              size="small"
              onClick={() =>
                edits.decision(`follow.${followed.candidate}.noted`, words.aChangedProposal, (decision) =>
                  withNoted({ ...workbench, decision }, followed.candidate, proposed, today),
                )
              }
            >
              {words.gotIt}
            </Button>
            {from !== to && (
              <Button
                size="small"
                type="text"
                onClick={() =>
                  edits.decision(`follow.${followed.candidate}.pinned`, words.aCandidatePinned, (decision) =>
                    withPinned(decision, followed.candidate, true),
                  )
                }
              >
                {words.keepItAsItWas}
              </Button>
            )}
          </li>
        ))}
        {without.map(({ candidate, seen }) => (
          <li key={candidate}>
            <p>{words.nothingCanBeProposed(<CandidateTag id={candidate} />, seen.made)}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}
