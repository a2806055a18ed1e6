import { ONE } from '#core/amount/decimal';
import { assembleToPrice } from '#core/assembly/assemble-to-price';
import type { Workbench } from '#core/decision/workbench';
import { forecastMonths } from '#core/forecast/forecast';
import { type CourseMonth, courseOf } from '#core/past-orders/course';
import { type Estimate, estimates } from '#core/past-orders/estimates';
import { NotUtf8, RefusedExport } from '#core/past-orders/export-text';
import { type KeptFile, keptFileSchema, type KeptOrders, type KeptPart, keptPartSchema } from '#core/past-orders/kept-orders';
import { type OwnOrders, ownOrders, wholeMonths } from '#core/past-orders/own-orders';
import { type ExportChoices, ExportReader, type ReadExport } from '#core/past-orders/read-export';
import { type ReplayAnswer, replayAnswer } from '#core/replay/replay-answer';

/** What this worker is asked; a later question to read or to answer overtakes an earlier one. */
export type PastOrdersQuestion =
  | { readonly ask: 'read'; readonly file: File; readonly choices: ExportChoices }
  | { readonly ask: 'stop' }
  | { readonly ask: 'keep'; readonly address: string; readonly id: string; readonly name: string }
  | { readonly ask: 'load'; readonly address: string; readonly files: ReadonlyArray<{ id: string; file: KeptFile; parts: number }> }
  | { readonly ask: 'answer'; readonly workbench: Workbench };

/** An export as it was read, without its orders: these stay here until they are kept. */
export type FoundExport = Omit<ReadExport, 'found'> & { readonly file: Omit<KeptFile, 'name'> | null };

/** What the orders come to. */
export interface PastOrdersAnswer {
  readonly own: Omit<OwnOrders, 'orders'>;
  /** null where no order is left. */
  readonly replay: ReplayAnswer | null;
  readonly estimates: readonly Estimate[];
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
  | { readonly say: 'answer'; readonly answer: PastOrdersAnswer };

let reading = 0;
let found: ReadExport['found'] = null;
let kept: readonly KeptOrders[] = [];
let newest: Workbench | null = null;

const say = (reply: PastOrdersReply) => self.postMessage(reply);

self.addEventListener('message', ({ data }: MessageEvent<PastOrdersQuestion>) => {
  if (data.ask === 'stop') reading += 1;
  else if (data.ask === 'read') void read(data.file, data.choices, (reading += 1));
  else if (data.ask === 'keep') void keep(data);
  else if (data.ask === 'load') void load(data);
  else {
    newest = data.workbench;
    // A newer question that waits already is heard first.
    setTimeout(() => data.workbench === newest && answer(data.workbench), 0);
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

function answer(workbench: Workbench): void {
  const { decision } = workbench;
  const lastYear = ownOrders(kept, decision, wholeMonths(kept));
  const all = ownOrders(kept, decision, wholeMonths(kept, Infinity));
  const { orders, ...own } = lastYear;
  const { file } = assembleToPrice(workbench);
  say({
    say: 'answer',
    answer: {
      own,
      replay: orders && file.candidates.length > 0 ? replayAnswer(file, orders) : null,
      course: all.orders
        ? courseOf(all.orders, forecastMonths(decision.forecast, decision.start, decision.months, ONE), decision.currency)
        : [],
      estimates: all.orders ? estimates(all.orders, decision.forecast.streams, decision.start) : [],
    },
  });
}
