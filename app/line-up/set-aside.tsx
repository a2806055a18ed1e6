import { Button } from 'antd';
import { withTakenBack } from '#core/assembly/set-aside';
import type { SetAside } from '#core/decision/set-aside-schema';
import { sheetLabel } from '#core/decision/sheet-label';
import type { Workbench } from '#core/decision/workbench';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { setAside as words } from './words/set-aside';

/** What a vendor is called. */
export function vendorName({ sheets }: Workbench, offer: string): string {
  const sheet = sheets.find(({ sheet: one }) => one.kind === 'offer' && one.offer.id === offer)?.sheet;
  return (sheet && sheetLabel(sheet)) || words.thisVendor;
}

/** Vendors that were set aside, each with its reason. */
export function SetAsideVendors() {
  const { workbench } = useWorkbench().state;
  const { setAside = [] } = workbench.decision;
  if (setAside.length === 0) return null;
  return (
    <section className="set-aside" aria-label={words.setAside}>
      <h3>{words.setAside}</h3>
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
  return <>{words.since(<b>{vendorName(workbench, offer)}</b>, write.day(on), reason ? `: ${reason}` : '')}</>;
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
      aria-label={words.considerAgain(name)}
      onClick={() => edits.decision(`setAside.${offer}`, words.consideredAgain(name), (one) => withTakenBack(one, offer))}
    >
      {words.considerItAgain}
    </Button>
  );
}
