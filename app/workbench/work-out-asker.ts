import type { Workbench } from '#core/decision/workbench';
import type { WorkOutAnswer, WorkOutQuestion } from '../../workers/work-out';

/** What is needed of a worker. */
export interface Asked {
  postMessage(question: WorkOutQuestion): void;
  addEventListener(type: 'message', listener: (event: { readonly data: WorkOutAnswer }) => void): void;
  terminate(): void;
}

/** Asks one worker about benches, one after the other. */
export interface Asker {
  about(workbench: Workbench): void;
  close(): void;
}

/**
 * Asks a worker, which is started with the first question; answers to questions that are no longer the newest are not
 * heard.
 */
export function workOutAsker(start: () => Asked, onAnswer: (workbench: Workbench, answer: WorkOutAnswer) => void): Asker {
  let worker: Asked | null = null;
  let asked: WorkOutQuestion | null = null;
  let number = 0;
  const started = () => {
    const made = start();
    made.addEventListener('message', ({ data }) => {
      if (worker === made && asked?.number === data.number) onAnswer(asked.workbench, data);
    });
    return made;
  };
  return {
    about(workbench) {
      if (asked?.workbench === workbench) return;
      asked = { number: (number += 1), workbench };
      worker ??= started();
      worker.postMessage(asked);
    },
    close() {
      worker?.terminate();
      worker = null;
      asked = null;
    },
  };
}
