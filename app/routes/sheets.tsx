import { Button } from 'antd';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import { listSheets } from '#data/sheets';
import type { PriceSheet } from '#core/decision/price-sheet';
import { USUAL_LOOK_AGAIN_DAYS } from '#core/decision/dates-schema';
import { sheetLabel } from '#core/decision/sheet-label';
import { checkSheet } from '#core/price-checks/price-checks';
import { gapsOf } from '#core/price-sheet/gaps';
import { newOffer } from '#core/price-sheet/edit-offer';
import { ChoiceField } from '../components/choice-field';
import { daysBetween } from '#core/calendar/day';
import { ageWords } from '../price-sheets/age-words';
import { useCheckContext } from '../price-sheets/check-context';
import { database } from '../server/database.server';
import { newId } from '../workbench/new-id';
import { useAfterPaint } from '../workbench/use-after-paint';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/sheets';
import { sheets as texts } from './words/sheets';

/** The sheets that exist already, for use in this decision too, and today's date for their age. */
export async function loader() {
  return { kept: await listSheets(await database()), today: new Date().toISOString().slice(0, 10) };
}

let lastKept: Awaited<ReturnType<typeof loader>>['kept'] = [];

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const loaded = await whileAway(serverLoader, () => ({ kept: lastKept, ...todayHere() }));
  lastKept = loaded.kept;
  return loaded;
}

export default function Sheets({ loaderData }: Route.ComponentProps) {
  const { state, decisionId } = useWorkbench();
  const edits = useEdits();
  const navigate = useNavigate();
  const { decision } = state.workbench;
  const sheets = useAfterPaint(state.workbench.sheets);
  const open = (id: string) => void navigate(`/decisions/${decisionId}/sheets/${id}`);
  const addVendor = () => open(edits.addSheet({ kind: 'offer', seen: loaderData.today, offer: newOffer(newId, decision.currency) }));
  const addProcessor = () =>
    open(edits.addSheet({ kind: 'processor', seen: loaderData.today, processor: { id: newId(), label: '', currency: decision.currency } }));
  const addAddon = () =>
    open(
      edits.addSheet({ kind: 'addon', seen: loaderData.today, addon: { id: newId(), label: '', currency: decision.currency, terms: [] } }),
    );
  const elsewhere = loaderData.kept.filter(({ id }) => !sheets.some((used) => used.id === id));
  return (
    <div className="sheets">
      <nav className="sheet-list" aria-label={texts.priceSheets}>
        <ul>
          {sheets.map(({ id, sheet }) => (
            <li key={id}>
              <NavLink to={`/decisions/${decisionId}/sheets/${id}`}>
                <b>{sheetLabel(sheet) || texts.withoutANameYet}</b>
                <SheetState sheet={sheet} today={loaderData.today} />
              </NavLink>
            </li>
          ))}
        </ul>
        {sheets.length > 0 && (
          <p className="sheet-watch">
            <Link to="/watch">{texts.lookAtPricingPages}</Link>
          </p>
        )}
        <div className="sheet-add">
          <Button onClick={addVendor}>{texts.addAVendor}</Button>
          <Button type="text" onClick={addProcessor}>
            {texts.addAPaymentProcessor}
          </Button>
          <Button type="text" onClick={addAddon} title={texts.suchAsATheme}>
            {texts.addAnAddOnSold}
          </Button>
          {elsewhere.length > 0 && (
            <ChoiceField
              label={texts.useASheetYou}
              value={undefined}
              searchable
              placeholder={texts.choose}
              options={elsewhere.map(({ id, sheet }) => ({ value: id, label: sheetLabel(sheet) || texts.withoutAName }))}
              onChange={(id) => {
                const chosen = elsewhere.find((one) => one.id === id);
                if (chosen) open(edits.addSheet(chosen.sheet, chosen));
              }}
            />
          )}
        </div>
      </nav>
      <Outlet context={{ today: loaderData.today, kept: loaderData.kept }} />
    </div>
  );
}

function SheetState({ sheet, today }: { sheet: PriceSheet; today: string }) {
  const context = useCheckContext(today);
  const gaps = gapsOf(sheet);
  const questions = checkSheet(sheet, context).open.length;
  const words = [gaps > 0 && texts.notKnown(gaps), questions > 0 && texts.questions(questions)].filter((one) => one !== false);
  const isOld = sheet.seen !== undefined && daysBetween(sheet.seen, today) >= USUAL_LOOK_AGAIN_DAYS;
  if (words.length > 0 && !isOld) return <span className="lacks">{words.join(' · ')}</span>;
  return <span className={isOld ? 'lacks' : ''}>{sheet.seen ? texts.seen(ageWords(sheet.seen, today)) : texts.notDated}</span>;
}
