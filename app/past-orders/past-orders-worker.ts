import type { StoredOrderFile } from '#data/past-orders';
import type { PastOrdersQuestion, PastOrdersReply } from '../../workers/past-orders';

/** Works on past orders beside the interface. */
export interface PastOrdersWorker {
  ask(question: PastOrdersQuestion): void;
  /** Loads the orders of files that are kept; `loaded` is said once they are there. */
  load(address: string, files: readonly StoredOrderFile[]): void;
  close(): void;
}

/**
 * Starts it.
 *
 * @param broke - is called where it cannot go on, for want of memory for example
 */
export function startPastOrdersWorker(heard: (reply: PastOrdersReply) => void, broke: () => void): PastOrdersWorker {
  const worker = new Worker(new URL('../../workers/past-orders.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<PastOrdersReply>) => heard(data));
  worker.addEventListener('error', broke);
  const ask = (question: PastOrdersQuestion) => worker.postMessage(question);
  return {
    ask,
    load: (address, files) => ask({ ask: 'load', address, files: files.map(({ id, file, parts }) => ({ id, file, parts })) }),
    close: () => worker.terminate(),
  };
}
