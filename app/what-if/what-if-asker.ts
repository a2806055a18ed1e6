import type { DecisionFile } from '#core/decision-file/schema';
import type { WhatIfQuestion } from '#core/questions/answer';
import type { WhatIfMessage, WhatIfReply } from '../../workers/what-if';

/** What is needed of a worker. */
export interface Asked {
  postMessage(message: WhatIfMessage): void;
  addEventListener(type: 'message', listener: (event: { readonly data: WhatIfReply }) => void): void;
  terminate(): void;
}

/** A reply, with what was asked about which decision. */
export interface Heard {
  readonly file: DecisionFile;
  readonly question: WhatIfQuestion;
  readonly reply: WhatIfReply;
}

/** Asks one worker one question after the other. */
export interface WhatIfAsker {
  ask(file: DecisionFile, question: WhatIfQuestion): void;
  close(): void;
}

/** How far an answer is interests nobody before it has taken this long. */
const PATIENCE_MS = 1000;

/**
 * Asks a worker, which is started with the first question. The decision is sent only when it is another one; replies
 * to questions that are no longer the newest are not heard, nor is progress within the first second.
 */
export function whatIfAsker(start: () => Asked, onReply: (heard: Heard) => void, now: () => number = () => performance.now()): WhatIfAsker {
  let worker: Asked | null = null;
  let sent: DecisionFile | null = null;
  let asked: { number: number; file: DecisionFile; question: WhatIfQuestion; at: number } | null = null;
  let number = 0;
  const started = () => {
    const made = start();
    made.addEventListener('message', ({ data }) => {
      if (worker !== made || asked?.number !== data.number) return;
      if ('progress' in data && now() - asked.at < PATIENCE_MS) return;
      onReply({ file: asked.file, question: asked.question, reply: data });
    });
    return made;
  };
  return {
    ask(file, question) {
      worker ??= started();
      asked = { number: (number += 1), file, question, at: now() };
      worker.postMessage({ number, question, ...(file === sent ? {} : { file }) });
      sent = file;
    },
    close() {
      worker?.terminate();
      worker = null;
      sent = null;
      asked = null;
    },
  };
}
