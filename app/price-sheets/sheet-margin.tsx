import { Button } from 'antd';
import { candidateName, withCandidate } from '#core/decision/candidates';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { CheckedSheet } from '#core/price-checks/price-checks';
import { withChargeRow } from '#core/price-sheet/edit-charge-row';
import { evidenceOf, noteFigure } from '#core/price-sheet/figure-notes';
import { figureAt } from '#core/price-sheet/grid-cell';
import type { GridRow } from '#core/price-sheet/grid-rows';
import { type Part, placeOf, termIn } from '#core/price-sheet/parts';
import { statesOf } from '#core/price-sheet/cell-state';
import { useEdits } from '../workbench/use-edits';
import { Fold } from '../components/fold';
import { ChargeRowForm } from './charge-row-form';
import { EvidenceForm } from './evidence-form';
import { EvidenceWords } from './evidence-words';
import { QuestionList } from './question-list';
import { useCells } from './use-cells';
import { sheetMargin as words } from './words/sheet-margin';

interface SheetMarginProps {
  /** The sheet's id. */
  id: string;
  sheet: PriceSheet;
  checked: CheckedSheet;
  today: string;
  /** The cell that has the focus. */
  row: GridRow | undefined;
  part: Part | undefined;
  onChange(key: string, label: string, change: (sheet: PriceSheet) => PriceSheet): void;
  onShow(place: string): void;
}

const STATE_WORDS = {
  'not-known': words.notKnown,
  none: 'nothing',
  unlimited: words.noLimit,
  'not-offered': words.notOffered,
  empty: 'empty',
};

/** Beside a price sheet: what is questionable, what the figures rest on, and what the chosen row is. */
export function SheetMargin({ id, sheet, checked, today, row, part, onChange, onShow }: SheetMarginProps) {
  const at = row && part && figureAt(part, row);
  const place = at && part ? placeOf(part.id, at) : null;
  const write = useCells();
  return (
    <aside className="sheet-margin" aria-label={words.questionsAndEvidence}>
      <QuestionList
        checked={checked}
        today={today}
        onSettle={(change) => onChange('settled', words.aQuestionSettled, change)}
        onShow={onShow}
      />
      <section aria-label={words.evidence}>
        <h3>{words.evidence}</h3>
        {place !== null && row && part && (
          <>
            <p className="evidence-of">
              {part.label || words.thisPlan}, {row.title.toLowerCase()}
            </p>
            <Compare sheet={sheet} row={row} part={part} />
            <EvidenceWords evidence={evidenceOf(sheet, place)} figure={write.cell(sheet, part, row).text} today={today} />
            <Fold summary={words.sayMoreAboutIt}>
              <EvidenceForm
                fieldKey={`${id}.evidence.${place}`}
                evidence={evidenceOf(sheet, place)}
                onChange={(change) => onChange(`evidence.${place}`, words.theEvidence, (one) => noteFigure(one, place, change))}
              />
            </Fold>
            <p className="quiet">
              {words.goesThrough(
                <kbd>{words.space}</kbd>,
                statesOf(row)
                  .map((state) => STATE_WORDS[state])
                  .join(', '),
              )}
            </p>
          </>
        )}
        <Fold summary={words.forTheWholeSheet}>
          <EvidenceForm
            fieldKey={`${id}.evidence`}
            isSheet
            evidence={sheet.evidence ?? {}}
            onChange={(change) => onChange('evidence', words.theEvidence, (one) => withSheetEvidence(one, change))}
          />
        </Fold>
      </section>
      {row && (
        <ChargeRowForm
          key={JSON.stringify(row.kind.kind === 'charge' ? [row.kind.bucket, row.kind.on, row.kind.only] : null)}
          row={row}
          onChange={(field, fields) => onChange(`row.${field}`, words.aFee, (one) => withChargeRow(one, row, fields))}
        />
      )}
    </aside>
  );
}

function withSheetEvidence(sheet: PriceSheet, change: object): PriceSheet {
  const kept = Object.fromEntries(Object.entries({ ...sheet.evidence, ...change }).filter(([, value]) => value !== undefined));
  return { ...sheet, evidence: kept };
}

/** Puts a term into the line-up, where no candidate takes it. */
function Compare({ sheet, row, part }: { sheet: PriceSheet; row: GridRow; part: Part }) {
  const edits = useEdits();
  const term = row.kind.kind === 'term' ? termIn(part, row.kind) : undefined;
  if (!term || sheet.kind !== 'offer' || !sheet.offer.plans.some(({ id }) => id === part.id)) return null;
  return (
    <p>
      <Button
        size="small"
        onClick={() =>
          edits.decision(`candidate.${term.id}`, words.aCandidateAdded, (one) =>
            withCandidate(one, { label: candidateName(sheet.offer.label, part.label), plans: [{ plan: part.id, term: term.id }] }),
          )
        }
      >
        {words.compareThisPlan}
      </Button>
    </p>
  );
}
