import { Button } from 'antd';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { withSetAside, withTakenBack } from '#core/assembly/set-aside';
import type { SetAside } from '#core/decision/set-aside-schema';
import { sheetLabel } from '#core/decision/sheet-label';
import type { Workbench } from '#core/decision/workbench';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useKeptText } from '../workbench/use-kept-text';
import { todayHere } from '../workbench/while-away';
import { useWorkbench } from '../workbench/workbench-context';

/** What a vendor is called. */
function vendorName({ sheets }: Workbench, offer: string): string {
  const sheet = sheets.find(({ sheet: one }) => one.kind === 'offer' && one.offer.id === offer)?.sheet;
  return (sheet && sheetLabel(sheet)) || 'this vendor';
}

/** Takes the vendor of a candidate out of the comparison, with the reason. */
export function SetVendorAside({ candidate, onDone }: { candidate: Candidate; onDone(): void }) {
  const edits = useEdits();
  const { state, atForecast, decisionId } = useWorkbench();
  const [reason, setReason] = useKeptText(`set-aside.${decisionId}.${candidate.id}`);
  const { workbench } = state;
  const plan = candidate.plans[0]?.plan;
  const offer = workbench.sheets
    .flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []))
    .find(({ plans }) => plans.some(({ id }) => id === plan));
  if (!offer) return null;
  const name = vendorName(workbench, offer.id);
  const { leader, runnerUp } = atForecast.lineUp;
  const leads = offer.plans.some(({ id }) => workbench.decision.candidates.find((one) => one.id === leader?.id)?.plans[0]?.plan === id);
  return (
    <section aria-label={`Set ${name} aside`}>
      <h3>Done with {name}?</h3>
      <TextField label="Why it is out" value={reason} placeholder="no stock for the stall" onChange={setReason} />
      <p className="quiet">It is kept with the reason, and comes back by itself if it ever becomes the best.</p>
      <Button
        onClick={() => {
          edits.decision(`setAside.${offer.id}`, `${name} set aside`, (one) =>
            withSetAside(one, offer.id, reason.trim(), leads ? (runnerUp?.margin ?? '0') : '0', todayHere().today),
          );
          setReason('');
          onDone();
        }}
      >
        Set {name} aside
      </Button>
    </section>
  );
}

/** Vendors that were set aside, each with its reason. */
export function SetAsideVendors() {
  const { workbench } = useWorkbench().state;
  const { setAside = [] } = workbench.decision;
  if (setAside.length === 0) return null;
  return (
    <section className="set-aside" aria-label="Set aside">
      <h3>Set aside</h3>
      <ul>
        {setAside.map((one) => (
          <li key={one.offer}>
            <SetAsideWords aside={one} /> <ConsiderAgain offer={one.offer} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function SetAsideWords({ aside: { offer, on, reason } }: { aside: SetAside }) {
  const { workbench } = useWorkbench().state;
  const write = useWriter();
  return (
    <>
      <b>{vendorName(workbench, offer)}</b>, since {write.day(on)}
      {reason ? `: ${reason}` : ''}.
    </>
  );
}

/** Brings a vendor that was set aside back into the comparison. */
export function ConsiderAgain({ offer }: { offer: string }) {
  const { workbench } = useWorkbench().state;
  const edits = useEdits();
  const name = vendorName(workbench, offer);
  return (
    <Button
      type="link"
      size="small"
      aria-label={`Consider ${name} again`}
      onClick={() => edits.decision(`setAside.${offer}`, `${name} considered again`, (one) => withTakenBack(one, offer))}
    >
      Consider it again
    </Button>
  );
}
