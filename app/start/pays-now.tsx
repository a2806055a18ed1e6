import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { newOffer } from '#core/price-sheet/edit-offer';
import { TextField } from '../components/text-field';
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
  const navigate = useNavigate();
  const [vendor, setVendor] = useKeptText(`pays-now.vendor.${decisionId}`);
  const [price, setPrice] = useKeptText(`pays-now.price.${decisionId}`);
  const add = () => {
    const offer = { ...newOffer(newId, state.workbench.decision.currency), vendor: vendor.trim(), label: vendor.trim() };
    const sheet = edits.addSheet({ kind: 'offer', seen: today, offer });
    // It stands in the sheet’s line for prices, with what was read of it below.
    keptText(`phrases.${sheet}`).keep(price.trim());
    setVendor('');
    setPrice('');
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
    </form>
  );
}
