import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newOffer } from '#core/price-sheet/edit-offer';
import { sheetAsTyped } from '#core/price-sheet/sheet-as-typed';
import { TextField } from '../components/text-field';
import { useKnownQuantities } from '../price-sheets/known-quantities';
import { keptText } from '../workbench/draft-storage';
import { newId } from '../workbench/new-id';
import { useKeptText } from '../workbench/use-kept-text';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { paysNow as words } from './words';

/** What is paid today: it becomes a price sheet like any other, so that staying is compared with moving. */
export function PaysNow({ today }: { today: string }) {
  const { state, decisionId } = useWorkbench();
  const edits = useEdits();
  const known = useKnownQuantities();
  const navigate = useNavigate();
  const [vendor, setVendor] = useKeptText(`pays-now.vendor.${decisionId}`);
  const [price, setPrice] = useKeptText(`pays-now.price.${decisionId}`);
  const [added, setAdded] = useState<{ readonly sheet: string; readonly vendor: string } | null>(null);
  const add = () => {
    const { currency, needs = [] } = state.workbench.decision;
    const offer = { ...newOffer(newId, currency), vendor: vendor.trim(), label: vendor.trim() };
    const blank = { kind: 'offer', seen: today, offer } as const;
    const features = needs.map(({ feature }) => feature);
    const whole = sheetAsTyped(blank, price, features, { known, newId });
    const sheet = edits.addSheet(whole ?? blank);
    setVendor('');
    setPrice('');
    setAdded({ sheet, vendor: vendor.trim() });
    if (whole) return;
    // What leaves something to ask stands in the sheet’s line for prices, with what was read of it below.
    keptText(`phrases.${sheet}`).keep(price.trim());
    void navigate(`/decisions/${decisionId}/sheets/${sheet}`);
  };
  return (
    <form
      className="pays-now"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <TextField label={words.whereYouSellNow} value={vendor} placeholder={words.leaveItIfYou} onChange={setVendor} />
      <TextField label={words.whatItCostsYou} value={price} placeholder={words.of29Mo2} onChange={setPrice} />
      <Button htmlType="submit" disabled={vendor.trim() === '' && price.trim() === ''}>
        {words.addIt}
      </Button>
      <p className="pays-now-added quiet" role="status">
        {added && words.isCompared(added.vendor, <Link to={`/decisions/${decisionId}/sheets/${added.sheet}`}>{words.itsPriceSheet}</Link>)}
      </p>
    </form>
  );
}
