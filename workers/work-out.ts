import type { Workbench } from '#core/decision/workbench';
import { type Judged, judge } from '#core/judgement/work-out';
import { type DecisionProposals, decisionProposals } from '#core/proposals/decision-proposals';

/** A question to this worker: its number comes back with every answer. */
export interface WorkOutQuestion {
  readonly number: number;
  readonly bench: Workbench;
}

/** Its answers: first what is proposed, then what rests on that; or in words why there is none. */
export type WorkOutAnswer = { readonly number: number } & (
  { readonly proposals: DecisionProposals } | { readonly judged: Judged } | { readonly problem: string }
);

let newest = 0;

self.addEventListener('message', ({ data }: MessageEvent<WorkOutQuestion>) => {
  newest = data.number;
  // A newer question that waits already is heard before this one is begun, and again before its second half.
  setTimeout(() => void answer(data), 0);
});

async function answer({ number, bench }: WorkOutQuestion): Promise<void> {
  const say = (found: { proposals: DecisionProposals } | { judged: Judged } | { problem: string }) =>
    self.postMessage({ number, ...found } satisfies WorkOutAnswer);
  if (number !== newest) return;
  try {
    const proposals = decisionProposals(bench);
    say({ proposals });
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (number === newest) say({ judged: judge(bench, proposals) });
  } catch (error) {
    say({ problem: error instanceof Error ? error.message : String(error) });
  }
}
