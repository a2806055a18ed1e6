import { Button, Input } from 'antd';
import { useId } from 'react';
import { useNavigate } from 'react-router';
import type { PriceSheet } from '#core/decision/price-sheet';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';

interface SheetHeadProps {
  id: string;
  sheet: PriceSheet;
  label: string;
  name: string;
  onName(name: string): void;
}

/** A sheet's name, when it was seen, and taking it off the decision. */
export function SheetHead({ id, sheet, label, name, onName }: SheetHeadProps) {
  const edits = useEdits();
  const navigate = useNavigate();
  const { decisionId } = useWorkbench();
  const seenId = useId();
  return (
    <div className="sheet-head">
      <TextField className="sheet-name" label={label} value={name} autoFocus={name === ''} onChange={onName} />
      <span className="field">
        <label htmlFor={seenId} className="field-label">
          Seen on
        </label>
        <Input
          id={seenId}
          type="date"
          variant="underlined"
          value={sheet.seen ?? ''}
          onChange={({ target }) =>
            edits.sheet(id, 'seen', 'the day it was seen', (one) => {
              const { seen: _former, ...rest } = one;
              return target.value === '' ? rest : { ...rest, seen: target.value };
            })
          }
        />
      </span>
      <Button
        type="text"
        size="small"
        onClick={() => {
          edits.removeSheet(id, name || 'a price sheet');
          void navigate(`/decisions/${decisionId}/sheets`);
        }}
      >
        take off this decision
      </Button>
    </div>
  );
}
