import { Button } from 'antd';
import { followedChange, withNoted, withPinned } from '#core/proposals/edit-followed';
import { proposedFor } from '#core/proposals/followed';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench, useWorked } from '../workbench/workbench-context';

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
    <section className="followed-changes" aria-label="What has changed">
      <h2>What has changed</h2>
      <ul>
        {changes.map(({ followed, on, from, to, fromTotal, toTotal, by, proposed }) => (
          <li key={followed.candidate}>
            <p>
              <CandidateTag id={followed.candidate} />{' '}
              {from === to ? (
                <>
                  {to}: now {write.money(toTotal, currency)}, was {write.money(fromTotal, currency)}
                </>
              ) : (
                <>
                  now <b>{to}</b>, {write.money(toTotal, currency)}; was {from}, {write.money(fromTotal, currency)}
                </>
              )}{' '}
              ({write.difference(by)} since {write.day(on)})
            </p>
            <Button
              size="small"
              onClick={() =>
                edits.decision(`follow.${followed.candidate}.noted`, 'a changed proposal', (decision) =>
                  withNoted({ ...workbench, decision }, followed.candidate, proposed, today),
                )
              }
            >
              Got it
            </Button>
            {from !== to && (
              <Button
                size="small"
                type="text"
                onClick={() =>
                  edits.decision(`follow.${followed.candidate}.pinned`, 'a candidate pinned', (decision) =>
                    withPinned(decision, followed.candidate, true),
                  )
                }
              >
                keep it as it was
              </Button>
            )}
          </li>
        ))}
        {without.map(({ candidate, seen }) => (
          <li key={candidate}>
            <p>
              <CandidateTag id={candidate} /> nothing can be proposed for its vendor any more; it stays {seen.made}.
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
