import type { Kysely } from 'kysely';
import { readDailyRates } from '#core/exchange-rates/daily-rates';
import { readPricingPage } from '#core/price-watch/read-pricing-page';
import { noteLooked, watchedSheets } from '#data/price-watch';
import { keepSetting, readSetting } from '#data/settings';
import type { Database } from '#data/schema';
import { listSheets } from '#data/sheets';
import { newId } from '../workbench/new-id';
import { fetchPage, USUAL_LIMITS } from './fetch-page.server';

/**
 * Looks at the pages of price sheets again, all or one, and notes what was found; a page that cannot be had leaves what
 * was known. Nothing is changed on the sheets.
 */
export async function lookAtPages(db: Kysely<Database>, only: string | null, now: () => string): Promise<void> {
  const sheets = new Map((await listSheets(db)).map((listed) => [listed.id, listed.sheet]));
  const privateHosts = (await readSetting(db, 'privateHosts')) ?? [];
  const asked = (await watchedSheets(db)).filter(({ sheetId }) => only === null || sheetId === only);
  await Promise.all(
    asked.map(async ({ sheetId, address }) => {
      const sheet = sheets.get(sheetId);
      if (!sheet) return;
      const page = await fetchPage(address, { ...USUAL_LIMITS, privateHosts });
      const finding = page.ok ? readPricingPage(sheet, page.text, newId) : page;
      await noteLooked(
        db,
        sheetId,
        now(),
        finding.ok ? { found: 'changes' in finding ? finding.changes : [] } : { problem: finding.problem },
      );
    }),
  );
}

/** Looks at the daily exchange rates again; what cannot be had leaves those that were known. */
export async function lookAtRates(db: Kysely<Database>, now: () => string): Promise<void> {
  const address = await readSetting(db, 'ratesAddress');
  if (!address) return;
  const privateHosts = (await readSetting(db, 'privateHosts')) ?? [];
  const former = await readSetting(db, 'ratesLooked');
  const page = await fetchPage(address, { ...USUAL_LIMITS, privateHosts });
  const reading = page.ok ? readDailyRates(page.text) : page;
  const at = now();
  const isRead = reading.ok && 'rates' in reading;
  await keepSetting(db, 'ratesLooked', {
    triedAt: at,
    seenAt: isRead ? at : (former?.seenAt ?? null),
    problem: reading.ok ? null : reading.problem,
    rates: isRead ? reading.rates : (former?.rates ?? null),
  });
}
