import { Button } from 'antd';
import { useNavigate } from 'react-router';
import type { PriceSheet } from '#core/decision/price-sheet';
import { sheetLabel } from '#core/decision/sheet-label';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { DayField } from '../components/day-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { sheetHead as words } from './words/sheet-head';

const KINDS = [
  'website-builder',
  'one-page-builder',
  'assisted-site-generator',
  'shared-hosting',
  'virtual-server',
  'self-assembled-site',
  'custom-build',
  'store-platform',
  'marketplace-builder',
  'course-platform',
  'live-class-tool',
  'community-and-membership',
  'video-subscription',
  'mailing-and-messages',
  'loyalty-and-reviews',
  'shipping-labels',
  'order-and-stock-automation',
  'product-research',
  'plug-in',
];
const NAMES = { offer: 'Vendor', processor: words.paymentProcessor, addon: 'Add-on' } as const;

/** A sheet's name and kind, when it was seen, and taking it off the decision. */
export function SheetHead({ id, sheet }: { id: string; sheet: PriceSheet }) {
  const edits = useEdits();
  const navigate = useNavigate();
  const { decisionId, state } = useWorkbench();
  const name = sheetLabel(sheet);
  const kinds = sheet.kind === 'offer' && !KINDS.includes(sheet.offer.kind) ? [...KINDS, sheet.offer.kind] : KINDS;
  const offers = state.workbench.sheets.flatMap(({ sheet: other }) =>
    other.kind === 'offer' ? [{ value: other.offer.id, label: sheetLabel(other) }] : [],
  );
  return (
    <div className="sheet-head">
      <TextField
        className="sheet-name"
        label={NAMES[sheet.kind]}
        value={name}
        autoFocus={name === ''}
        onChange={(label) => edits.sheet(id, 'label', words.theName, (one) => withName(one, label))}
      />
      {sheet.kind === 'offer' && (
        <ChoiceField
          label={words.kind}
          value={sheet.offer.kind}
          searchable
          options={kinds.map((kind) => ({ value: kind, label: kind.replaceAll('-', ' ') }))}
          onChange={(kind) =>
            edits.sheet(id, 'kind', words.theKindOfVendor, (one) =>
              one.kind === 'offer' ? { ...one, offer: { ...one.offer, kind } } : one,
            )
          }
        />
      )}
      {sheet.kind === 'addon' && (
        <ChoicesField
          label={words.worksWith}
          values={sheet.addon.worksWith ?? []}
          options={offers}
          placeholder={words.everyVendor}
          onChange={(worksWith) =>
            edits.sheet(id, 'works-with', words.whatItWorksWith, (one) => {
              if (one.kind !== 'addon') return one;
              const { worksWith: _former, ...addon } = one.addon;
              return { ...one, addon: worksWith.length > 0 ? { ...addon, worksWith } : addon };
            })
          }
        />
      )}
      <DayField
        fieldKey={`${id}.seen`}
        label={words.seenOn}
        value={sheet.seen}
        onChange={(seen) =>
          edits.sheet(id, 'seen', words.theDayItWas, (one) => {
            const { seen: _former, ...rest } = one;
            return seen === undefined ? rest : { ...rest, seen };
          })
        }
      />
      <span className="sheet-tools">
        <a href={`/decisions/${decisionId}/sheets/${id}/export`} download>
          {words.export}
        </a>
        <Button
          type="text"
          size="small"
          onClick={() => {
            edits.removeSheet(id, name || words.aPriceSheet);
            void navigate(`/decisions/${decisionId}/sheets`);
          }}
        >
          {words.remove}
        </Button>
      </span>
    </div>
  );
}

function withName(sheet: PriceSheet, label: string): PriceSheet {
  if (sheet.kind === 'offer') return { ...sheet, offer: { ...sheet.offer, label, vendor: label } };
  return sheet.kind === 'processor'
    ? { ...sheet, processor: { ...sheet.processor, label } }
    : { ...sheet, addon: { ...sheet.addon, label } };
}
