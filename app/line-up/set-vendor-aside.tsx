import { Button } from 'antd';
import { withSetAside } from '#core/assembly/set-aside';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useKeptText } from '../workbench/use-kept-text';
import { todayHere } from '../workbench/while-away';
import { useWorkbench } from '../workbench/workbench-context';
import { vendorName } from './set-aside';

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
