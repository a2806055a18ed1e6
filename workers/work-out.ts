import type { Workbench } from '#core/decision/workbench';
import { type Judged, judge } from '#core/judgement/work-out';
import { type DecisionProposals, decisionProposals } from '#core/proposals/decision-proposals';
import type { InSteps } from '#core/proposals/ways';
import { type DecisionWays, decisionWaysInSteps } from '#core/proposals/decision-ways';

/** A question to this worker: its number comes back with every answer. */
export interface WorkOutQuestion {
  readonly number: number;
  readonly workbench: Workbench;
}

/** Its answers: what is proposed, then what rests on that, then ways with moves; or in words why there is none. */
export type WorkOutAnswer = { readonly number: number } & Found;

type Found =
  { readonly proposals: DecisionProposals } | { readonly judged: Judged } | { readonly ways: DecisionWays } | { readonly problem: string };

let newest = 0;

self.addEventListener('message', ({ data }: MessageEvent<WorkOutQuestion>) => {
  newest = data.number;
  // A newer question that waits already is heard before this one is begun, and again before each further part.
  setTimeout(() => void answer(data), 0);
});

async function answer({ number, workbench }: WorkOutQuestion): Promise<void> {
  const say = (found: Found) => self.postMessage({ number, ...found } satisfies WorkOutAnswer);
  if (number !== newest) return;
  try {
    const proposals = decisionProposals(workbench);
    say({ proposals });
    await aMoment();
    if (number === newest) say({ judged: judge(workbench, proposals) });
    await aMoment();
    const ways = await whileNewest(number, decisionWaysInSteps(workbench, proposals));
    if (ways) say({ ways });
  } catch (error) {
    say({ problem: error instanceof Error ? error.message : String(error) });
  }
}

/** So long is worked at a stretch before a newer question is heard. */
const STRETCH_MS = 50;

/** Goes through steps as long as no newer question has come; null once one has. */
async function whileNewest<Result>(number: number, steps: InSteps<Result>): Promise<Result | null> {
  let since = performance.now();
  while (number === newest) {
    const { done, value } = steps.next();
    if (done) return value;
    if (performance.now() - since < STRETCH_MS) continue;
    await aMoment();
    since = performance.now();
  }
  return null;
}

const aMoment = () => new Promise((resolve) => setTimeout(resolve, 0));
