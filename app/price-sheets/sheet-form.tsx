import { useMemo, useState } from 'react';
import type { PriceSheet } from '#core/decision/price-sheet';
import { checkSheet } from '#core/price-checks/price-checks';
import type { RowKind } from '#core/price-phrase/row-kind';
import { figureAt } from '#core/price-sheet/grid-cell';
import { gridRows } from '#core/price-sheet/grid-rows';
import { addonsOf, columnsOf, type Part, placeOf } from '#core/price-sheet/parts';
import { newId } from '../workbench/new-id';
import { useAfterPaint } from '../workbench/use-after-paint';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { AddRow } from './add-row';
import { useCheckContext } from './check-context';
import { type GridPoint, within } from '../components/grid-keys';
import { PhraseBar } from './phrase-bar';
import { PlanHeads } from './plan-heads';
import { SheetGrid } from './sheet-grid';
import { SheetIntake } from './sheet-intake';
import { SheetHead } from './sheet-head';
import { useIntake } from './use-intake';
import { SheetMargin } from './sheet-margin';
import { VendorTakes } from './vendor-takes';
import { sheetForm as words } from './words/sheet-form';

type Which = 'plans' | 'addons';
const COLUMNS: Readonly<Record<Which, (sheet: PriceSheet) => readonly Part[]>> = { plans: columnsOf, addons: addonsOf };
const PLANS_NONE: readonly RowKind[] = [];

/** One price sheet: a vendor's, a processor's, or an add-on's. */
export function SheetForm({ id, sheet, today }: { id: string; sheet: PriceSheet; today: string }) {
  const edits = useEdits();
  const { state } = useWorkbench();
  const context = useCheckContext(today);
  const [asked, setAsked] = useState<Readonly<Record<Which, readonly RowKind[]>>>({ plans: PLANS_NONE, addons: PLANS_NONE });
  const intake = useIntake(id);
  const [focus, setFocus] = useState<GridPoint & { which: Which }>({ which: 'plans', row: 0, column: 0 });
  // Questions follow the figure that raises them, right after it is painted.
  const painted = useAfterPaint(sheet);
  const checked = useMemo(() => checkSheet(painted, context), [painted, context]);
  const rows = useMemo(
    () => ({ plans: gridRows(sheet, asked.plans), addons: gridRows(sheet, asked.addons, addonsOf(sheet)) }),
    [sheet, asked],
  );
  const columns = COLUMNS[focus.which](sheet);
  const point = within(focus, rows[focus.which].length, columns.length);
  const [row, part] = [rows[focus.which][point.row], columns[point.column]];
  const change = (key: string, label: string, recipe: (sheet: PriceSheet) => PriceSheet) => edits.sheet(id, key, label, recipe);
  const takeOver = (recipe: (sheet: PriceSheet) => PriceSheet, currency?: string) =>
    edits.sheet(
      id,
      `phrase.${newId()}`,
      words.whatThePageSays,
      recipe,
      currency === undefined ? undefined : (decision) => ({ ...decision, currency }),
    );
  const show = (place: string) => {
    for (const which of ['plans', 'addons'] as const)
      for (const [column, one] of COLUMNS[which](sheet).entries()) {
        const found = rows[which].findIndex((candidate) => {
          const at = figureAt(one, candidate);
          return at !== null && placeOf(one.id, at) === place;
        });
        if (found >= 0 || place === one.id) setFocus({ which, row: Math.max(0, found), column });
      }
  };
  const grid = (which: Which) => (
    <SheetGrid
      id={id}
      sheet={sheet}
      rows={rows[which]}
      columnsOf={COLUMNS[which]}
      label={which === 'plans' ? words.prices : words.pricesOfAddOns}
      findings={checked.open}
      focus={focus.which === which ? focus : { row: 0, column: 0 }}
      onFocus={(to) => setFocus({ which, ...to })}
      onChange={change}
      head={<PlanHeads sheet={sheet} columns={COLUMNS[which](sheet)} what={which === 'plans' ? 'plan' : 'add-on'} onChange={change} />}
      addTo={(section) =>
        sheet.kind === 'processor' && section !== 'sale' && section !== 'usage' ? null : (
          <AddRow
            section={section}
            rows={rows[which]}
            columns={COLUMNS[which](sheet).length}
            onAdd={(kind) => setAsked((before) => ({ ...before, [which]: [...before[which], kind] }))}
          />
        )
      }
    />
  );
  return (
    <>
      <main className="work" aria-label={words.priceSheet}>
        <SheetHead id={id} sheet={sheet} />
        <PhraseBar
          id={id}
          sheet={sheet}
          today={today}
          column={focus.which === 'plans' ? (part?.id ?? '') : ''}
          onTakeOver={takeOver}
          onPage={(text) => intake.read(text, words.whatWasPasted)}
        />
        <SheetIntake sheet={sheet} today={today} intake={intake} onTakeOver={takeOver} />
        {grid('plans')}
        {sheet.kind === 'processor' && <p className="quiet">{words.itsFeesCountForCandidates}</p>}
        {sheet.kind === 'offer' && (
          <section className="addons" aria-label={words.addOns}>
            <h3>{words.addOnsOfThisVendor}</h3>
            <p className="quiet">{words.anAddOnIsCounted}</p>
            {grid('addons')}
          </section>
        )}
        {sheet.kind === 'offer' && (
          <VendorTakes
            id={id}
            offer={sheet.offer}
            currency={state.workbench.decision.currency}
            onChange={(key, label, recipe) =>
              change(key, label, (one) => (one.kind === 'offer' ? { ...one, offer: recipe(one.offer) } : one))
            }
          />
        )}
      </main>
      <SheetMargin id={id} sheet={sheet} checked={checked} today={today} row={row} part={part} onChange={change} onShow={show} />
    </>
  );
}
