import { data, type ShouldRevalidateFunctionArgs } from 'react-router';
import * as z from 'zod';
import { noteDecided, setWatchedAddress, watchedSheets } from '#data/price-watch';
import { addressSchema, keepSetting, SETTINGS } from '#data/settings';
import { ListPage } from '../components/list-page';
import { RatesWatch } from '../price-watch/rates-watch';
import { EFFECTS } from '../price-watch/effects-of-ticked';
import { SheetsWatch } from '../price-watch/sheets-watch';
import { WatchHistory } from '../price-watch/watch-history';
import { database } from '../server/database.server';
import { formOf } from '../server/form.server';
import { lookAtPages, lookAtRates } from '../server/look-again.server';
import { acceptChanges, acceptRate } from '../server/take-over.server';
import { watchView } from '../server/watch-view.server';
import type { Route } from './+types/watch';
import { watch as words } from './words/watch';

export const meta = () => [{ title: words.priceWatchVenalis }];

export async function loader() {
  return { view: await watchView(await database()), now: new Date().toISOString() };
}

/** Asking what a change would do changes nothing here. */
export const shouldRevalidate = ({ formAction, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs) =>
  formAction !== EFFECTS && defaultShouldRevalidate;

const id = z.string().max(100);
const askedSchema = z.discriminatedUnion('intent', [
  z.object({ intent: z.literal('look'), sheet: id.optional() }),
  z.object({ intent: z.literal('address'), sheet: id, address: z.union([z.literal(''), addressSchema]) }),
  z.object({ intent: z.literal('accept'), sheet: id, changes: z.array(z.string().max(1_000)).max(500), decisions: z.array(id).max(1_000) }),
  z.object({ intent: z.literal('leave'), sheet: id, changes: z.array(z.string().max(1_000)).max(500) }),
  z.object({ intent: z.literal('look-rates') }),
  z.object({ intent: z.literal('rates-address'), address: z.union([z.literal(''), addressSchema]) }),
  z.object({
    intent: z.literal('accept-rate'),
    decision: id,
    currency: z.string().length(3),
    rate: z.string().regex(/^\d{1,12}(\.\d{1,12})?$/),
  }),
  z.object({ intent: z.literal('private-hosts'), hosts: SETTINGS.privateHosts }),
]);

/** Looks again, sets addresses, takes over or leaves what was found. */
export async function action({ request }: Route.ActionArgs) {
  const asked = askedSchema.safeParse(asObject(await formOf(request)));
  if (!asked.success) return data({ problem: asked.error.issues[0]?.message ?? words.thisCannotBeRead }, { status: 400 });
  const db = await database();
  const now = () => new Date().toISOString();
  const one = asked.data;
  switch (one.intent) {
    case 'look':
      await lookAtPages(db, one.sheet ?? null, now);
      break;
    case 'address':
      await setWatchedAddress(db, one.sheet, one.address);
      break;
    case 'accept':
    case 'leave': {
      const watched = (await watchedSheets(db)).find(({ sheetId }) => sheetId === one.sheet);
      if (!watched) return data({ problem: words.thatPriceSheetIsNotWatched }, { status: 404 });
      const chosen = watched.found.filter((change) => one.changes.includes(change.id));
      if (one.intent === 'leave') await noteDecided(db, one.sheet, chosen, 'left', now());
      else await acceptChanges(db, watched, chosen, one.decisions, now());
      break;
    }
    case 'look-rates':
      await lookAtRates(db, now);
      break;
    case 'rates-address':
      await keepSetting(db, 'ratesAddress', one.address === '' ? null : one.address);
      break;
    case 'accept-rate':
      await acceptRate(db, one.decision, one.currency, one.rate, now());
      break;
    case 'private-hosts':
      await keepSetting(db, 'privateHosts', one.hosts);
      break;
  }
  return { problem: null };
}

/** Fields of a form; those that may come several times are lists. */
function asObject(form: FormData): Record<string, unknown> {
  const lists = {
    changes: form.getAll('changes'),
    decisions: form.getAll('decisions'),
    hosts: form.getAll('hosts').flatMap((text) => (typeof text === 'string' ? text.split(/[\s,]+/).filter(Boolean) : [])),
  };
  return { ...Object.fromEntries(form), ...lists };
}

/** Prices and rates looked at again, and what that does to each decision. */
export default function Watch({ loaderData: { view, now } }: Route.ComponentProps) {
  return (
    <ListPage title={words.priceWatch}>
      <main className="watch" aria-label={words.priceWatch}>
        <SheetsWatch sheets={view.sheets} now={now} />
        <RatesWatch rates={view.rates} now={now} />
        <WatchHistory history={view.history} privateHosts={view.privateHosts} />
      </main>
    </ListPage>
  );
}
