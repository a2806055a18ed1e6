import type { DecisionFile } from '#core/decision-file/schema';
import { type WhatIfAnswer, type WhatIfAnswerer, whatIfAnswerer, type WhatIfQuestion } from '#core/questions/answer';

/** A question to this worker: its number comes back with every answer. The decision comes along only when it is another one. */
export interface WhatIfMessage {
  readonly number: number;
  readonly file?: DecisionFile;
  readonly question: WhatIfQuestion;
}

/** Its answers: coarse ones first where there are any, how far it is, and why there is none. */
export type WhatIfReply = { readonly number: number } & (
  { readonly answer: WhatIfAnswer; readonly done: boolean } | { readonly progress: number } | { readonly problem: string }
);

/** So long it works before it hears whether there is a newer question. */
const SLICE_MS = 24;

let newest = 0;
let answerer: WhatIfAnswerer | null = null;

self.addEventListener('message', ({ data }: MessageEvent<WhatIfMessage>) => {
  newest = data.number;
  // The decision is taken up even if its question is overtaken: the newer question is about the same one.
  if (data.file) answerer = whatIfAnswerer(data.file);
  setTimeout(() => void answer(data), 0);
});

async function answer({ number, question }: WhatIfMessage): Promise<void> {
  const say = (reply: { answer: WhatIfAnswer; done: boolean } | { progress: number } | { problem: string }) =>
    self.postMessage({ number, ...reply } satisfies WhatIfReply);
  if (number !== newest || !answerer) return;
  try {
    const work = answerer.begin(question);
    let isDone = false;
    while (!isDone) {
      const until = performance.now() + SLICE_MS;
      let progress = 0;
      while (!isDone && performance.now() < until) {
        const piece = work.next();
        ({ done: isDone, progress } = piece);
        if (piece.answer !== null) say({ answer: piece.answer, done: isDone });
      }
      if (isDone) return;
      say({ progress });
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (number !== newest) return;
    }
  } catch (error) {
    say({ problem: error instanceof Error ? error.message : String(error) });
  }
}
