import { useState } from 'react';
import { Link } from 'react-router';
import { madeWords } from '#core/proposals/edit-followed';
import { MakeUpPanel } from '../line-up/make-up-panel';
import { useWriter } from '../locale/locale';
import { FollowedChanges } from '../proposals/changes';
import { PutTogether } from '../proposals/put-together';
import { FollowButton, VendorBlock } from '../proposals/vendor-block';
import { WayAcross } from '../proposals/way-ahead';
import { useWorkbench, useWorked } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/candidates';
import { candidates as words } from './words/candidates';

/** Today, for when a proposal was last looked at. */
export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, todayHere);
}

/** Complete combinations: proposed for every vendor, or put together by hand. */
export default function Candidates({ loaderData }: Route.ComponentProps) {
  const { state, decisionId } = useWorkbench();
  const worked = useWorked();
  const write = useWriter();
  const [open, setOpen] = useState<string | null>(null);
  const { workbench } = state;
  const { today } = loaderData;
  const proposals = worked.proposals;
  const vendors = [...(proposals?.vendors ?? [])].sort(
    (a, b) => Number(a.proposed?.total ?? Infinity) - Number(b.proposed?.total ?? Infinity),
  );
  const pair = proposals?.pair ?? null;
  // What stands below the vendors comes with them, so that it does not jump away from under a hand.
  const isSettled = proposals !== null || worked.problem !== null || !worked.isProposing;
  return (
    <>
      <main className="work" aria-label={words.candidates}>
        <FollowedChanges today={today} />
        <section aria-label={words.proposed} aria-busy={worked.isProposing}>
          <h2>{words.proposedForEveryVendor}</h2>
          <p className="quiet">
            {words.theCheapestPlanTerm(
              <Link to={`/decisions/${decisionId}/needs`}>{words.must}</Link>,
              workbench.decision.months,
              worked.isProposing && proposals ? words.updating : '',
            )}
          </p>
          {worked.problem && (
            <p className="problem" role="alert">
              {words.thisCouldNotBeWorked(worked.problem)}
            </p>
          )}
          {!proposals && !worked.problem && <p className="quiet">{words.workingItOut}</p>}
          {proposals && vendors.length === 0 && (
            <p>{words.thereIsNoPrice(<Link to={`/decisions/${decisionId}/sheets`}>{words.enterWhatPlansCost}</Link>)}</p>
          )}
          <ul className="vendor-blocks">
            {vendors.map((vendor) => (
              <VendorBlock key={vendor.offer} vendor={vendor} today={today} onOpen={setOpen} />
            ))}
          </ul>
        </section>
        <WayAcross />
        {pair && (
          <section aria-label={words.twoTogether}>
            <h2>{words.twoTogether}</h2>
            <p className="quiet">{words.ofTheVendorsThatDo}</p>
            <ul className="vendor-blocks">
              <li className="vendor-block" aria-label={pair.labels.join(' and ')}>
                <div className="vendor-name">
                  <h3>{pair.labels.join(' and ')}</h3>
                </div>
                <div className="vendor-made">
                  <b>{madeWords(workbench, pair.made)}</b>
                </div>
                <div className="vendor-total">
                  <b>{write.money(pair.total, workbench.decision.currency)}</b>
                  <small>{pair.above === null ? '' : write.difference(pair.above)}</small>
                </div>
                <FollowButton
                  proposed={{ offer: pair.offers[0], with: pair.offers[1], made: pair.made, total: pair.total }}
                  today={today}
                  onOpen={setOpen}
                />
              </li>
            </ul>
          </section>
        )}
        {isSettled && vendors.length + workbench.decision.candidates.length > 0 && <PutTogether open={open} onOpen={setOpen} />}
      </main>
      <aside className="margin" aria-label={words.whatItIsPut} aria-live="polite">
        {open === null ? (
          <>
            <h2>{words.nothingIsDroppedInSilence}</h2>
            <p>{words.everyPlanThatIsPassed}</p>
            <p className="quiet">{words.aCandidateThatFollows}</p>
          </>
        ) : (
          <MakeUpPanel key={open} candidateId={open} onRemoved={() => setOpen(null)} />
        )}
      </aside>
    </>
  );
}
