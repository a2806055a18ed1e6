import { Button } from 'antd';
import { withSetAside } from '#core/assembly/set-aside';
import type { Candidate } from '#core/decision-file/candidate-schema';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useKeptText } from '../workbench/use-kept-text';
import { todayHere } from '../workbench/while-away';
import { useWorkbench } from '../workbench/workbench-context';
import { vendorName } from './set-aside';
import { setVendorAside as words } from './words/set-vendor-aside';

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
    <section aria-label={words.setAside(name)}>
      <h3>{words.doneWith(name)}</h3>
      <TextField label={words.whyItIsOut} value={reason} placeholder={words.noStockForTheStall} onChange={setReason} />
      <p className="quiet">{words.itIsKeptWithTheReason}</p>
      <Button
        onClick={() => {
          edits.decision(`setAside.${offer.id}`, words.setAsideName(name), (one) =>
            withSetAside(one, offer.id, reason.trim(), leads ? (runnerUp?.margin ?? '0') : '0', todayHere().today),
          );
          setReason('');
          onDone();
        }}
      >
        {words.setAside(name)}
      </Button>
    </section>
  );
}
