import { Button } from 'antd';
import { candidateOf, type Followable, madeWords, withFollower } from '#core/proposals/edit-followed';
import type { Workbench } from '#core/decision/workbench';
import type { VendorProposal } from '#core/proposals/decision-proposals';
import { CandidateTag } from '../components/candidate-tag';
import { ConsiderAgain } from '../line-up/set-aside';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { namesIn, reasonWords, renewalWords } from './reason-words';
import { VendorWay } from './way-ahead';
import { vendorBlock as texts } from './words/vendor-block';

interface VendorBlockProps {
  vendor: VendorProposal;
  today: string;
  onOpen(candidate: string): void;
}

/** What is proposed for a vendor, and why each of its other plans is not. */
export function VendorBlock({ vendor, today, onOpen }: VendorBlockProps) {
  const { state } = useWorkbench();
  const write = useWriter();
  const { currency, setAside } = state.workbench.decision;
  const aside = setAside?.find((one) => one.offer === vendor.offer);
  const { proposed, plans, offer, renewals } = vendor;
  const [openest] = renewals;
  const proposedPlan = plans.find(({ reason }) => reason.kind === 'proposed')?.label ?? '';
  const names = { nameOf: namesIn(state.workbench), proposed: proposedPlan };
  const others = plans.filter(({ reason }) => reason.kind !== 'proposed');
  return (
    <li className={`vendor-block ${proposed ? '' : 'has-none'}`} aria-label={vendor.label}>
      <div className="vendor-name">
        <h3>{vendor.label}</h3>
        <small>{vendor.kind.replaceAll('-', ' ')}</small>
      </div>
      <div className="vendor-made">
        {proposed && <b>{madeWords(state.workbench, proposed.made)}</b>}
        {!proposed && openest && <b>{madeWords(state.workbench, openest.made)}</b>}
        {!proposed && !openest && (
          <b className="problem">{plans.length === 0 ? nothingPriced(state.workbench, offer) : texts.noneOfItsPlans}</b>
        )}
        {aside && (
          <p>
            {texts.setAside(aside.reason ? `: ${aside.reason}` : '')} <ConsiderAgain offer={offer} />
          </p>
        )}
        <VendorWay offer={offer} />
        <ul className="passed-over">
          {others.map(({ plan, label, reason }) => {
            const open = renewals.find((one) => one.plan === plan);
            return (
              <li key={plan}>
                <b>{label || texts.aPlan}</b>:{' '}
                {open ? renewalWords(open, proposed && proposedPlan, write) : reasonWords(reason, names, write)}
              </li>
            );
          })}
        </ul>
      </div>
      <div className="vendor-total">
        {proposed && (
          <>
            <b>{write.money(proposed.total, currency)}</b>
            <small>{Number(proposed.above) === 0 ? texts.least : write.difference(proposed.above)}</small>
          </>
        )}
        {!proposed && openest && (
          <>
            <b>{write.money(openest.atLeast, currency)}</b>
            <small>{texts.atLeast}</small>
          </>
        )}
      </div>
      {proposed && !aside ? <FollowButton proposed={{ offer, ...proposed }} today={today} onOpen={onOpen} /> : <div />}
    </li>
  );
}

/** Takes what is proposed into the line-up, or shows the candidate that it is already. */
export function FollowButton({ proposed, today, onOpen }: { proposed: Followable; today: string; onOpen(candidate: string): void }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const found = candidateOf(state.workbench, proposed);
  const take = (
    <Button
      size="small"
      onClick={() =>
        edits.decision(`follow.${proposed.offer}`, texts.aProposalUsed, (decision) =>
          withFollower({ ...state.workbench, decision }, proposed, today),
        )
      }
    >
      {texts.takeIt}
    </Button>
  );
  if (!found) return <div className="vendor-taken">{take}</div>;
  const words = { follows: texts.followsIt, pinned: 'pinned', 'by-hand': texts.isJustThis }[found.follows];
  return (
    <div className="vendor-taken">
      <button type="button" className="figure" onClick={() => onOpen(found.id)} aria-label={texts.candidateWhatItIsPut(found.id, words)}>
        <CandidateTag id={found.id} /> {words}
      </button>
    </div>
  );
}

/** Why none of a vendor's plans could be looked at. */
function nothingPriced({ decision, sheets }: Workbench, offerId: string): string {
  const offer = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' && sheet.offer.id === offerId ? [sheet.offer] : []))[0];
  const foreign = offer?.plans.find(({ currency }) => currency !== decision.currency && decision.rates?.[currency] === undefined);
  if (foreign) return texts.itWaitsForTheExchange(foreign.currency);
  return offer && offer.plans.length > 0 ? texts.itsPlansCountWhat : texts.itsPriceSheetHas;
}
