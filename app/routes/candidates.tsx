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
  return (
    <>
      <main className="work" aria-label="Candidates">
        <FollowedChanges today={today} />
        <section aria-label="Proposed" aria-busy={worked.isProposing}>
          <h2>Proposed for every vendor</h2>
          <p className="quiet">
            The cheapest plan, term, add-ons and way of taking payments that meet every{' '}
            <Link to={`/decisions/${decisionId}/needs`}>must</Link> and every limit over {workbench.decision.months} months of expected
            sales; without your own hours and extras.
            {worked.isProposing && proposals ? ' Updating …' : ''}
          </p>
          {worked.problem && (
            <p className="problem" role="alert">
              This could not be worked out: {worked.problem}
            </p>
          )}
          {!proposals && !worked.problem && <p className="quiet">Working it out …</p>}
          {proposals && vendors.length === 0 && (
            <p>
              There is no price sheet of a vendor yet. <Link to={`/decisions/${decisionId}/sheets`}>Enter what plans cost</Link>, and what
              is cheapest for you stands here.
            </p>
          )}
          <ul className="vendor-blocks">
            {vendors.map((vendor) => (
              <VendorBlock key={vendor.offer} vendor={vendor} today={today} onOpen={setOpen} />
            ))}
          </ul>
        </section>
        <WayAcross />
        {pair && (
          <section aria-label="Two together">
            <h2>Two together</h2>
            <p className="quiet">Of the vendors that do not do it alone, the cheapest two that do it together.</p>
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
        {vendors.length + workbench.decision.candidates.length > 0 && <PutTogether open={open} onOpen={setOpen} />}
      </main>
      <aside className="margin" aria-label="What it is put together from" aria-live="polite">
        {open === null ? (
          <>
            <h2>Nothing is dropped in silence</h2>
            <p>
              Every plan that is passed over says why. A candidate that lacks a must stays in the comparison, below the others, with the
              reason.
            </p>
            <p className="quiet">
              A candidate that follows a proposal updates automatically when sales, needs or price sheets change, and says what has changed.
              Editing it pins it.
            </p>
          </>
        ) : (
          <MakeUpPanel key={open} candidateId={open} onRemoved={() => setOpen(null)} />
        )}
      </aside>
    </>
  );
}
