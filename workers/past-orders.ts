import { ONE } from '#core/amount/decimal';
import { assembleToPrice } from '#core/assembly/assemble-to-price';
import type { Workbench } from '#core/decision/workbench';
import { forecastMonths } from '#core/forecast/forecast';
import { type CourseMonth, courseOf } from '#core/past-orders/course';
import { chargedByMonth, type FeesCompared, feesCompared } from '#core/past-orders/charged-fees';
import { type Estimate, estimates } from '#core/past-orders/estimates';
import { NotUtf8, RefusedExport, wholeText } from '#core/past-orders/export-text';
import { type KeptFile, keptFileSchema, type KeptOrders, type KeptPart, keptPartSchema } from '#core/past-orders/kept-orders';
import { type ReadPayouts, readPayouts } from '#core/past-orders/read-payouts';
import { type Spread, spreadOfPast } from '#core/past-orders/spread';
import { type OwnOrders, ownOrders, wholeMonths } from '#core/past-orders/own-orders';
import { type ExportChoices, ExportReader, type ReadExport } from '#core/past-orders/read-export';
import { withEveryVendorsBest } from '#core/proposals/every-vendors-best';
import { ordersFrom } from '#core/replay/past-orders';
import { type ReplayAnswer, replaySteps } from '#core/replay/replay-answer';

/** What this worker is asked; a later question to read or to answer overtakes an earlier one. */
export type PastOrdersQuestion =
  | { readonly ask: 'read'; readonly file: File; readonly choices: ExportChoices }
  | { readonly ask: 'stop' }
  | { readonly ask: 'keep'; readonly address: string; readonly id: string; readonly name: string }
  | { readonly ask: 'load'; readonly address: string; readonly files: ReadonlyArray<{ id: string; file: KeptFile; parts: number }> }
  | { readonly ask: 'answer'; readonly workbench: Workbench }
  | { readonly ask: 'stop-answer' }
  /** `file` is null for the payments that were read last. */
  | { readonly ask: 'payouts'; readonly file: File | null; readonly workbench: Workbench; readonly candidate: string };

/** A list of payments as it was read, and what was charged beside what the sheet says. */
export interface PayoutsRead extends Omit<ReadPayouts, 'payments'> {
  readonly name: string;
  readonly payments: number;
  /** What was charged by month. */
  readonly months: Readonly<Record<string, string>>;
  /** null without past orders, or where none of the payments is for one of them. */
  readonly compared: FeesCompared | null;
}

/** An export as it was read, without its orders: these stay here until they are kept. */
export type FoundExport = Omit<ReadExport, 'found'> & { readonly file: Omit<KeptFile, 'name'> | null };

/** What the orders come to. */
export interface PastOrdersAnswer {
  readonly own: Omit<OwnOrders, 'orders'>;
  /** null where no order is left. */
  readonly replay: ReplayAnswer | null;
  readonly estimates: readonly Estimate[];
  /** null where the past is too short to tell. */
  readonly spread: Spread | null;
  /** Past months and those that are expected. */
  readonly course: readonly CourseMonth[];
}

export type PastOrdersReply =
  | { readonly say: 'progress'; readonly part: number }
  | { readonly say: 'found'; readonly found: FoundExport }
  | { readonly say: 'refused'; readonly why: string }
  | { readonly say: 'kept' }
  | { readonly say: 'not-kept'; readonly why: string }
  | { readonly say: 'loaded' }
  | { readonly say: 'payouts'; readonly read: PayoutsRead }
  | { readonly say: 'answering'; readonly part: number }
  | { readonly say: 'answer'; readonly answer: PastOrdersAnswer };

let reading = 0;
let found: ReadExport['found'] = null;
let kept: readonly KeptOrders[] = [];
let newest: Workbench | null = null;
let owned: { readonly by: string; readonly of: readonly KeptOrders[]; readonly orders: OwnOrders } | null = null;
let paid: (ReadPayouts & { readonly name: string }) | null = null;

const say = (reply: PastOrdersReply) => self.postMessage(reply);

self.addEventListener('message', ({ data }: MessageEvent<PastOrdersQuestion>) => {
  if (data.ask === 'stop') reading += 1;
  else if (data.ask === 'read') void read(data.file, data.choices, (reading += 1));
  else if (data.ask === 'keep') void keep(data);
  else if (data.ask === 'load') void load(data);
  else if (data.ask === 'stop-answer') newest = null;
  else if (data.ask === 'payouts') void payouts(data);
  else {
    newest = data.workbench;
    // A newer question that waits already is heard first.
    setTimeout(() => void answer(data.workbench), 0);
  }
});

async function read(file: File, choices: ExportChoices, number: number): Promise<void> {
  found = null;
  try {
    const whole = await readAs(file, choices, number);
    if (!whole || number !== reading) return;
    const { found: orders, ...told } = whole;
    found = orders;
    say({ say: 'found', found: { ...told, file: orders?.file ?? null } });
  } catch (error) {
    if (number !== reading) return;
    const why =
      error instanceof RefusedExport ? error.message : 'This file cannot be read to its end. Export it once more, then drop it here.';
    say({ say: 'refused', why });
  }
}

async function readAs(file: File, choices: ExportChoices, number: number, encoding?: 'windows-1252'): Promise<ReadExport | null> {
  const reader = new ExportReader(choices, encoding);
  const pieces = file.stream().getReader();
  try {
    let told = 0;
    for (let [seen, isDone] = [0, false]; !isDone;) {
      const { done, value } = await pieces.read();
      if (number !== reading) return null;
      isDone = done;
      seen += value?.length ?? 0;
      reader.push(value ?? new Uint8Array(0), done);
      if (performance.now() - told < 100) continue;
      told = performance.now();
      say({ say: 'progress', part: seen / file.size });
      // A wish to stop is heard.
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
    return reader.finish();
  } catch (error) {
    if (error instanceof NotUtf8 && !encoding) return await readAs(file, choices, number, 'windows-1252');
    throw error;
  } finally {
    void pieces.cancel();
  }
}

async function keep({ address, id, name }: Extract<PastOrdersQuestion, { ask: 'keep' }>): Promise<void> {
  const orders = found;
  const number = (reading += 1);
  if (!orders) return;
  try {
    await post(address, { do: 'begin', id, file: { ...orders.file, name } });
    for (const [place, part] of orders.parts.entries()) {
      await post(address, { do: 'add', id, place, part });
      // What was left half sent goes.
      if (number !== reading) return await post(address, { do: 'delete', id });
      say({ say: 'progress', part: (place + 1) / orders.parts.length });
    }
    await post(address, { do: 'finish', id });
    found = null;
    say({ say: 'kept' });
  } catch (error) {
    say({ say: 'not-kept', why: error instanceof Error ? error.message : String(error) });
  }
}

async function post(address: string, body: unknown): Promise<void> {
  const response = await fetch(address, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
  if (!response.ok) throw new Error(`the server answered ${response.status}`);
}

async function load({ address, files }: Extract<PastOrdersQuestion, { ask: 'load' }>): Promise<void> {
  try {
    const loaded: KeptOrders[] = [];
    for (const { id, file, parts } of files) {
      const all: KeptPart[] = [];
      for (let place = 0; place < parts; place++) {
        const response = await fetch(`${address}?file=${id}&part=${place}`);
        if (!response.ok) throw new Error(`the server answered ${response.status}`);
        all.push(keptPartSchema.parse(await response.json()));
      }
      loaded.push({ file: keptFileSchema.parse(file), parts: all });
    }
    kept = loaded;
    say({ say: 'loaded' });
  } catch {
    say({ say: 'refused', why: 'Your past orders cannot be loaded from the server. Open this page again once it can be reached.' });
  }
}

/** The orders of all whole months as the decision takes them: worked out again only when what they are taken by changes. */
function ownOnce({ decision: { forecast, pastOrders, currency, rates } }: Workbench): OwnOrders {
  const streams = forecast.streams.map(({ id, label, channel, cards }) => [id, label, channel, Object.keys(cards ?? {})]);
  const by = JSON.stringify([streams, pastOrders, currency, rates]);
  if (owned?.by !== by || owned.of !== kept)
    owned = { by, of: kept, orders: ownOrders(kept, { forecast, pastOrders, currency, rates }, wholeMonths(kept, Infinity)) };
  return owned.orders;
}

/** A newer question, or the wish to stop, is heard between two candidates. */
async function answer(workbench: Workbench): Promise<void> {
  if (workbench !== newest) return;
  const { decision } = workbench;
  const { orders: all, ...own } = ownOnce(workbench);
  const lastYear = wholeMonths(kept);
  const orders = all && lastYear ? ordersFrom(all, lastYear.from) : all;
  const { file } = assembleToPrice(withEveryVendorsBest(workbench));
  const replay = orders && file.candidates.length > 0 ? await inSteps(replaySteps(file, orders), workbench) : null;
  if (workbench !== newest) return;
  say({
    say: 'answer',
    answer: {
      own,
      replay,
      course: all ? courseOf(all, forecastMonths(decision.forecast, decision.start, decision.months, ONE), decision.currency) : [],
      spread: all ? spreadOfPast(all) : null,
      estimates: all ? estimates(all, decision.forecast.streams, decision.start) : [],
    },
  });
}

/** How long is worked before a newer question is heard, and it is told how far it is. */
const STEP_MS = 120;

async function inSteps(steps: Generator<number, ReplayAnswer, void>, workbench: Workbench): Promise<ReplayAnswer | null> {
  for (let paused = performance.now(); workbench === newest;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (performance.now() - paused < STEP_MS) continue;
    say({ say: 'answering', part: step.value });
    await new Promise((resolve) => setTimeout(resolve, 0));
    paused = performance.now();
  }
  return null;
}

async function payouts({ file, workbench, candidate }: Extract<PastOrdersQuestion, { ask: 'payouts' }>): Promise<void> {
  try {
    if (file) paid = { ...readPayouts(wholeText(new Uint8Array(await file.arrayBuffer()))), name: file.name };
    if (!paid) return;
    const { payments, ...told } = paid;
    const { decision } = workbench;
    const { orders } = ownOrders(kept, decision);
    const compared = orders ? feesCompared(assembleToPrice(workbench).file, orders, payments, candidate) : null;
    const months = chargedByMonth(payments, decision.currency);
    say({ say: 'payouts', read: { ...told, payments: payments.length, months, compared: compared?.all.payments ? compared : null } });
  } catch (error) {
    const why =
      error instanceof RefusedExport ? error.message : 'This file cannot be read to its end. Export it once more, then drop it here.';
    say({ say: 'refused', why });
  }
}
