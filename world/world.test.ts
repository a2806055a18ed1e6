import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { readDailyRates } from '../core/exchange-rates/daily-rates';
import { readLinkedData } from '../core/price-page/linked-data';
import { readWebPage } from '../core/sheet-import/web-page';
import { CATALOGUE, pageOn, ratesOn } from './catalogue';
import { FIRST_DAY, worldServer } from './server';

let server: Server;
let address = '';

beforeEach(async () => {
  server = worldServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});

afterEach(() => {
  server.close();
  server.closeAllConnections();
});

const post = (path: string, form: Record<string, string>) =>
  fetch(`${address}${path}`, { method: 'POST', body: new URLSearchParams(form), redirect: 'manual' });
const plansOf = async (vendor: string) =>
  readLinkedData(readWebPage(await (await fetch(`${address}/vendors/${vendor}`)).text()).linkedData)?.plans.map(({ plan }) => plan);

describe('the made-up outside world', () => {
  it('publishes every vendor’s page as schema.org data that can be read', async () => {
    for (const vendor of Object.keys(CATALOGUE))
      expect(await plansOf(vendor)).toEqual(pageOn(vendor, FIRST_DAY)?.plans.map(({ name }) => name));
  });

  it('splits a plan when its clock is moved on, and not before', async () => {
    await post('/clock', { to: '2027-01-31' });
    expect(await plansOf('brindle')).toEqual(['Shop']);
    await post('/clock', { days: '1' });
    expect(await plansOf('brindle')).toEqual(['Shop Light', 'Shop Full']);
  });

  it('publishes rates of its day', async () => {
    await post('/clock', { to: '2027-02-05' });
    const reading = readDailyRates(await (await fetch(`${address}/rates/daily.xml`)).text());
    expect(reading).toMatchObject({ ok: true, rates: { day: '2027-02-05', perBase: ratesOn('2027-02-05') } });
  });

  it('can be away, half-written and hostile', async () => {
    await post('/faults', { path: '/vendors/marlpit', fault: 'away' });
    expect((await fetch(`${address}/vendors/marlpit`)).status).toBe(503);
    await post('/faults', { path: '/vendors/marlpit', fault: 'half-written' });
    await expect(fetch(`${address}/vendors/marlpit`).then((response) => response.text())).rejects.toThrow();
    await post('/faults', { path: '/vendors/marlpit', fault: 'hostile' });
    expect((await fetch(`${address}/vendors/marlpit`, { redirect: 'manual' })).headers.get('location')).toMatch(/169\.254/);
    await post('/faults', { path: '/rates/daily.xml', fault: 'hostile' });
    expect(readDailyRates(await (await fetch(`${address}/rates/daily.xml`)).text())).toMatchObject({ ok: false });
  });

  it.each([
    ['/clock', { to: 'tomorrow' }],
    ['/clock', { days: '-5' }],
    ['/faults', { path: '/vendors/marlpit', fault: 'explode' }],
    ['/elsewhere', {}],
  ])('refuses what it does not know: %s %j', async (path, form) => {
    expect((await post(path, form as Record<string, string>)).status).toBe(400);
    expect(await (await fetch(address)).text()).toContain(FIRST_DAY);
  });

  it('has nothing at other addresses', async () => {
    for (const path of ['/vendors/constructor', '/vendors/', '/nothing']) expect((await fetch(`${address}${path}`)).status).toBe(404);
  });
});
