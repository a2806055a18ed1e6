import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Locator, type Page, test as base } from '@playwright/test';
import { keepAsItIs, putBack } from './put-back';

/** A running Venalis with a data folder of its own. */
export interface Venalis {
  readonly address: string;
  readonly folder: string;
  /** Ends the server and starts it again on the same data and port. */
  restart(): Promise<void>;
  stop(): Promise<void>;
  /** Ends the server, and starts it on the same data and port. */
  end(): Promise<void>;
  launch(): Promise<unknown>;
}

/** Starts the built application on a free port; with `demo` the worked example is loaded. */
export async function start(demo: boolean, environment: Readonly<Record<string, string>> = {}): Promise<Venalis> {
  const folder = environment['VENALIS_DATA'] ?? mkdtempSync(join(tmpdir(), 'venalis-e2e-'));
  let port = '0';
  let child: ChildProcess;
  const launch = async () => {
    child = spawn(process.execPath, ['scripts/serve.mjs'], {
      // One thread answers one person; each more takes a second of a processor to load.
      env: {
        ...process.env,
        VENALIS_THREADS: '1',
        PORT: port,
        VENALIS_DATA: folder,
        ...(demo ? { VENALIS_DEMO: 'demo', VENALIS_DEMO_DAY: '2026-11-28' } : {}),
        ...environment,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const address = await addressFrom(child);
    port = new URL(address).port;
    return address;
  };
  const end = () =>
    new Promise<void>((resolve) => {
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
    });
  const address = await launch();
  return {
    address,
    folder,
    end,
    launch,
    async restart() {
      await end();
      await launch();
    },
    async stop() {
      await end();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** The address that a server prints when it has started. */
export function addressFrom(child: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    child.stdout?.on('data', (chunk: Buffer) => {
      const address = /address (\S+)/.exec(chunk.toString())?.[1];
      if (address) resolve(address);
    });
    child.once('exit', (code) => reject(new Error(`The server ended with code ${code}`)));
  });
}

/** A server that serves many tests, one after the other. */
type Shared = (use: (venalis: Venalis) => Promise<void>) => Promise<void>;

const sharedServer =
  (demo: boolean): Shared =>
  async (use) => {
    const venalis = await start(demo);
    keepAsItIs(venalis.folder);
    await use(venalis);
    await venalis.stop();
  };

/** Waits for what the last test's pages have still asked for, and puts the data back as they were at first. */
async function asAtFirst(venalis: Venalis): Promise<Venalis> {
  await fetch(`${venalis.address}ready`);
  putBack(venalis.folder);
  return venalis;
}

/**
 * Tests with data of their own: `demo` has the worked example, `empty` nothing. The servers stay for the next test; one
 * that damages its server starts one for itself.
 */
export const test = base.extend<{ savesData: boolean; demo: Venalis; empty: Venalis }, { demoServer: Venalis; emptyServer: Venalis }>({
  // Fetching all other places beforehand is half the work of opening a page; tests of that turn this off.
  savesData: [true, { option: true }],
  // A page that is opened or reloaded is used only once it has come to life, as a person would.
  page: async ({ page, savesData }, use) => {
    const browser = await page.context().newCDPSession(page);
    await browser.send('Emulation.setDataSaverOverride', { dataSaverEnabled: savesData });
    const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
    const live = async () => {
      // Pages that the server writes without the application come to no life.
      if ((await page.locator('script[type=module]').count()) > 0) await page.waitForSelector('html[data-live]', { state: 'attached' });
    };
    page.goto = async (...args) => {
      const response = await goto(...args);
      await live();
      return response;
    };
    page.reload = async (...args) => {
      const response = await reload(...args);
      await live();
      return response;
    };
    await use(page);
  },
  demoServer: [({ browserName: _ }, use) => sharedServer(true)(use), { scope: 'worker' }],
  emptyServer: [({ browserName: _ }, use) => sharedServer(false)(use), { scope: 'worker' }],
  demo: async ({ demoServer }, use) => use(await asAtFirst(demoServer)),
  empty: async ({ emptyServer }, use) => use(await asAtFirst(emptyServer)),
});

export { expect } from '@playwright/test';

/** A cell of a price sheet, by its plan and row. */
export function cell(page: Page, name: string): Locator {
  return page.getByRole('gridcell', { name: new RegExp(`^${name}:`) });
}

/** Types into a cell of a price sheet as a person does, and takes it over with Enter. */
export async function typeInto(page: Page, name: string, text: string): Promise<void> {
  await cell(page, name).click();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}
