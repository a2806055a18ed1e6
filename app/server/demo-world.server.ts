import type { Kysely } from 'kysely';
import { sheetLabel } from '#core/decision/sheet-label';
import { moveAddresses, setWatchedAddress, watchedSheets } from '#data/price-watch';
import type { Database } from '#data/schema';
import { keepSetting, readSetting } from '#data/settings';
import { listSheets } from '#data/sheets';
import { lookAtPages } from './look-again.server';

/** Pages of the made-up outside world, by the name of the vendor on the demo's price sheets. */
const PAGES: Readonly<Record<string, string>> = {
  Marlpit: 'marlpit',
  'Tidewrack Stores': 'tidewrack',
  'Brindle Sites': 'brindle',
  Wharfside: 'wharfside',
  Pellmere: 'pellmere',
};

const LOOKED_AT = 'pellmere';

/**
 * Has the demo look at the made-up outside world: addresses of its pages, its rates, and leave to look at that host. On
 * a later start the addresses follow if it stands on another port; what the person has changed stays.
 *
 * @param world - its address, without a slash at the end
 */
export async function watchWorld(db: Kysely<Database>, world: string): Promise<void> {
  const former = await readSetting(db, 'worldAddress');
  if (former === world) return;
  const hosts = (await readSetting(db, 'privateHosts')) ?? [];
  const others = former ? hosts.filter((host) => host !== new URL(former).host) : hosts;
  await keepSetting(db, 'privateHosts', [...others, new URL(world).host]);
  await keepSetting(db, 'worldAddress', world);
  if (former) {
    await moveAddresses(db, former, world);
    const rates = await readSetting(db, 'ratesAddress');
    if (rates?.startsWith(former)) await keepSetting(db, 'ratesAddress', `${world}${rates.slice(former.length)}`);
    return;
  }
  if ((await watchedSheets(db)).length > 0) return;
  for (const { id, sheet } of await listSheets(db)) {
    const page = PAGES[sheetLabel(sheet)];
    if (!page) continue;
    await setWatchedAddress(db, id, `${world}/vendors/${page}`);
    // One was looked at already, so that a change waits to be decided.
    if (page === LOOKED_AT) await lookAtPages(db, id, () => new Date().toISOString());
  }
  await keepSetting(db, 'ratesAddress', `${world}/rates/daily.xml`);
}
