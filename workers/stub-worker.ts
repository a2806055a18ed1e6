import { vi } from 'vitest';

/** A worker's module in a test: what it is asked, and everything that it has answered. */
export interface StubbedWorker<Question, Answer> {
  ask(question: Question): void;
  readonly answers: readonly Answer[];
}

/** Loads a worker's module afresh, with a worker's global object around it. */
export async function stubWorker<Question, Answer>(load: () => Promise<unknown>): Promise<StubbedWorker<Question, Answer>> {
  vi.resetModules();
  const answers: Answer[] = [];
  let listener: (event: { data: Question }) => void = () => undefined;
  vi.stubGlobal('self', {
    addEventListener: (_type: string, added: typeof listener) => {
      listener = added;
    },
    postMessage: (answer: Answer) => void answers.push(answer),
  });
  await load();
  return { ask: (data) => listener({ data }), answers };
}

/** Waits until what is expected of a worker's answers holds; on a busy machine a map takes several seconds. */
export function eventually(expectation: () => void): Promise<void> {
  return vi.waitFor(expectation, { timeout: 30_000 });
}
