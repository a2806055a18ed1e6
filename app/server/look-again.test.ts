import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Kysely } from 'kysely';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import { readDecisionFile } from '#core/decision-file/read';
import { createDecision, loadWorkbench } from '#data/decisions';
import { decidedChanges, setWatchedAddress, watchedSheets } from '#data/price-watch';
import { keepSetting, readSetting } from '#data/settings';
import { openDatabase } from '#data/open-database';
import type { Database } from '#data/schema';
import { listSheets } from '#data/sheets';
import { worldServer } from '../../world/server';
import { fileName } from './attachment';
import { watchWorld } from './demo-world.server';
import { lookAtPages, lookAtRates } from './look-again.server';
import { acceptChanges, acceptRate } from './take-over.server';
import { effectsOfChanges, watchView } from './watch-view.server';

const file = readDecisionFile(JSON.parse(readFileSync(new URL('../../demo/larkfell-kites.json', import.meta.url), 'utf8')));
let db: Kysely<Database>;
let world: Server;
let address = '';
let round = 0;
const now = () => '2027-02-02T09:00:00.000Z';

beforeEach(async () => {
  db = await openDatabase(':memory:');
  let next = 0;
  round += 1;
  await createDecision(
    db,
    `kites-${round}`,
    takeApart(file, () => `sheet-${next++}`, '2026-11-03'),
    '2026-11-25T09:00:00.000Z',
  );
  world = worldServer();
  await new Promise<void>((resolve) => world.listen(0, '127.0.0.1', resolve));
  address = `http://127.0.0.1:${(world.address() as AddressInfo).port}`;
  await watchWorld(db, address);
});

afterEach(() => {
  world.close();
  world.closeAllConnections();
});

const tell = (path: string, form: Record<string, string>) =>
  fetch(`${address}${path}`, { method: 'POST', body: new URLSearchParams(form), redirect: 'manual' });
const rowOf = async (label: string) => (await watchView(db)).sheets.find((sheet) => sheet.label === label);
const decision = async () => (await loadWorkbench(db, `kites-${round}`))?.workbench;
const termPrice = async (months: number) => {
  const sheet = (await decision())?.sheets.find((used) => used.sheet.kind === 'offer' && used.sheet.offer.id === 'marlpit')?.sheet;
  return sheet?.kind === 'offer'
    ? sheet.offer.plans.find(({ label }) => label === 'Grow')?.terms.find((term) => term.months === months)?.price
    : undefined;
};

describe('looking again at the made-up outside world', () => {
  it('finds nothing on the first day, and what has changed later, with what it does to the decision', async () => {
    await lookAtPages(db, null, now);
    expect((await watchedSheets(db)).map(({ problem, found }) => [problem, found.length])).toEqual([
      [null, 0],
      [null, 0],
      [null, 0],
      [null, 0],
    ]);
    await tell('/clock', { to: '2027-01-20' });
    await lookAtPages(db, null, now);
    const marlpit = await rowOf('Marlpit');
    expect(marlpit?.found.map(({ what, after }) => [what, after])).toEqual([
      ['paid by the month', '79 by the month EUR'],
      ['paid by the year', '864 by the year EUR'],
    ]);
    expect(marlpit?.effects).toMatchObject([
      {
        id: `kites-${round}`,
        effect: {
          isVerdict: false,
          currency: 'EUR',
          since: { standing: 'holds', dearer: '0.00', now: { label: 'Marlpit Grow', margin: '522.42' } },
        },
      },
    ]);
    // Nothing has changed by itself.
    expect(await termPrice(12)).toBe('708');
  });

  it('tells what each part of what was found would do, without taking anything over', async () => {
    await tell('/clock', { to: '2027-01-20' });
    await lookAtPages(db, null, now);
    const marlpit = await rowOf('Marlpit');
    const effectOf = async (...wanted: string[]) =>
      effectsOfChanges(
        db,
        marlpit?.sheetId ?? '',
        (marlpit?.found ?? []).filter(({ what }) => wanted.includes(what)).map(({ id }) => id),
      );
    // The candidate pays by the year: a dearer month does not touch it.
    expect(await effectOf('paid by the month')).toMatchObject([{ effect: { since: { standing: 'holds', dearer: '0.00' } } }]);
    expect(await effectOf('paid by the month', 'paid by the year')).toEqual(marlpit?.effects);
    expect(await termPrice(1)).toBe('69');
  });

  it('says so when what it is asked about was decided elsewhere meanwhile', async () => {
    await tell('/clock', { to: '2027-01-20' });
    await lookAtPages(db, null, now);
    const marlpit = await rowOf('Marlpit');
    const ids = (marlpit?.found ?? []).map(({ id }) => id);
    const [watched] = (await watchedSheets(db)).filter(({ sheetId }) => sheetId === marlpit?.sheetId);
    if (watched) await acceptChanges(db, watched, watched.found.slice(0, 1), [], now());
    expect(await effectsOfChanges(db, marlpit?.sheetId ?? '', ids.slice(1))).toHaveLength(1);
    expect(await effectsOfChanges(db, marlpit?.sheetId ?? '', ids)).toBeNull();
    expect(await effectsOfChanges(db, 'no sheet', ids)).toBeNull();
  });

  it('takes over what was chosen, as a new revision that the decision uses, and keeps the history', async () => {
    await tell('/clock', { to: '2027-01-20' });
    await lookAtPages(db, null, now);
    const watched = (await watchedSheets(db)).find(({ address: page }) => page.endsWith('/marlpit'));
    const yearly = watched?.found.filter(({ what }) => what === 'paid by the year') ?? [];
    expect(watched && (await acceptChanges(db, watched, yearly, [`kites-${round}`], now()))).toBe(1);
    expect([await termPrice(12), await termPrice(1)]).toEqual(['864', '69']);
    expect((await rowOf('Marlpit'))?.found.map(({ what }) => what)).toEqual(['paid by the month']);
    expect(await decidedChanges(db, 5)).toMatchObject([
      { label: 'Marlpit', plan: 'Grow', before: '708 by the year EUR', after: '864 by the year EUR', outcome: 'accepted' },
    ]);
    expect((await loadWorkbench(db, `kites-${round}`))?.undo).toBe('prices of Marlpit as seen');
  });

  it('a decision that does not take it keeps its revision; a split plan leaves its candidate waiting', async () => {
    await tell('/clock', { to: '2027-02-01' });
    await lookAtPages(db, null, now);
    const watched = (await watchedSheets(db)).find(({ address: page }) => page.endsWith('/brindle'));
    if (!watched) throw new Error('the page is expected to be watched');
    expect(watched.found.map(({ kind }) => kind)).toEqual(['new-plan', 'new-plan', 'plan-gone']);
    await acceptChanges(db, watched, watched.found, [], now());
    const used = (await decision())?.sheets.find(({ id }) => id === watched.sheetId);
    expect(used?.revision).toBe(1);
    expect((await listSheets(db)).find(({ id }) => id === watched.sheetId)?.revision).toBe(2);
  });

  it('new plans come into the line-up of a decision that takes them', async () => {
    await tell('/clock', { to: '2027-02-01' });
    await lookAtPages(db, null, now);
    const watched = (await watchedSheets(db)).find(({ address: page }) => page.endsWith('/brindle'));
    if (!watched) throw new Error('the page is expected to be watched');
    await acceptChanges(db, watched, watched.found, [`kites-${round}`, 'nobody'], now());
    expect((await decision())?.decision.candidates.map(({ label }) => label)).toEqual(
      expect.arrayContaining(['Brindle Sites Shop Light', 'Brindle Sites Shop Full']),
    );
  });

  it('a page that is away leaves what was found; one page alone can be looked at', async () => {
    await lookAtPages(db, null, () => '2027-01-01T09:00:00.000Z');
    await tell('/faults', { path: '/vendors/marlpit', fault: 'half-written' });
    const marlpit = (await watchedSheets(db)).find(({ address: page }) => page.endsWith('/marlpit'));
    await lookAtPages(db, marlpit?.sheetId ?? '', now);
    expect((await watchedSheets(db)).map(({ triedAt, seenAt, problem }) => [triedAt, seenAt, problem])).toEqual(
      (await watchedSheets(db)).map(({ sheetId }) =>
        sheetId === marlpit?.sheetId
          ? [now(), '2027-01-01T09:00:00.000Z', 'the answer broke off']
          : ['2027-01-01T09:00:00.000Z', '2027-01-01T09:00:00.000Z', null],
      ),
    );
  });

  it('rates of the day stand beside those of decisions, and are taken over one by one', async () => {
    await lookAtRates(db, now);
    const [row] = (await watchView(db)).rates.rows;
    expect(row).toMatchObject({ base: 'EUR', currency: 'USD', rate: '0.92' });
    expect(row?.ofDay).toMatch(/^0\.\d{2,6}$/);
    expect(await acceptRate(db, `kites-${round}`, 'USD', row?.ofDay ?? '', now())).toBe(true);
    expect((await decision())?.decision.rates).toEqual({ USD: row?.ofDay });
    expect(await acceptRate(db, `kites-${round}`, 'SEK', '1', now())).toBe(false);
    expect(await acceptRate(db, 'nobody', 'USD', '1', now())).toBe(false);
  });

  it('hostile rates leave those that were known, with what is wrong', async () => {
    await lookAtRates(db, () => '2027-01-01T09:00:00.000Z');
    await tell('/faults', { path: '/rates/daily.xml', fault: 'hostile' });
    await lookAtRates(db, now);
    expect((await watchView(db)).rates).toMatchObject({
      triedAt: now(),
      seenAt: '2027-01-01T09:00:00.000Z',
      day: '2026-11-25',
      problem: expect.stringContaining('document type') as string,
    });
  });

  it('when the world stands on another port its addresses follow, and what a person changed stays', async () => {
    const [first] = await watchedSheets(db);
    await setWatchedAddress(db, first?.sheetId ?? '', 'https://elsewhere.invalid/prices');
    await keepSetting(db, 'privateHosts', [...((await readSetting(db, 'privateHosts')) ?? []), 'nas.local:8080']);
    await watchWorld(db, 'http://127.0.0.1:9');
    const addresses = (await watchedSheets(db)).map((one) => one.address);
    expect(addresses.filter((one) => one.startsWith('http://127.0.0.1:9/vendors/'))).toHaveLength(3);
    expect(addresses).toContain('https://elsewhere.invalid/prices');
    expect(await readSetting(db, 'ratesAddress')).toBe('http://127.0.0.1:9/rates/daily.xml');
    expect(await readSetting(db, 'privateHosts')).toEqual(['nas.local:8080', '127.0.0.1:9']);
  });
});

describe('names of files', () => {
  it.each([
    ['Where should Larkfell Kites sell from 2027?', 'where-should-larkfell-kites-sell-from-2027.pdf'],
    ['../../etc/passwd "x"\r\n', 'etc-passwd-x.pdf'],
    ['Überfluß', 'berflu.pdf'],
    ['', 'decision.pdf'],
  ])('%j becomes %s', (name, expected) => {
    expect(fileName(name, 'pdf')).toBe(expected);
  });
});
