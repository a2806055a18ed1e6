import { startTransition, useEffect, useMemo, useState } from 'react';
import type { Workbench } from '#core/decision/workbench';
import type { Judged } from '#core/judgement/work-out';
import type { DecisionProposals } from '#core/proposals/decision-proposals';
import type { DecisionWays } from '#core/proposals/decision-ways';
import type { WorkOutAnswer } from '../../workers/work-out';
import { workOutAsker } from './work-out-asker';

/** What was worked out last. */
export interface Worked {
  readonly proposals: DecisionProposals | null;
  readonly judged: Judged | null;
  /** Ways with moves, of the workbench as it is now; null until they are worked out. */
  readonly ways: DecisionWays | null;
  /** Whether a newer workbench is being worked out: its proposals, and what rests on them. */
  readonly isProposing: boolean;
  readonly isJudging: boolean;
  /** Why nothing could be worked out. */
  readonly problem: string | null;
}

interface Answered {
  readonly proposals: { readonly workbench: Workbench; readonly found: DecisionProposals } | null;
  readonly judged: { readonly workbench: Workbench; readonly found: Judged } | null;
  readonly ways: { readonly workbench: Workbench; readonly found: DecisionWays } | null;
  readonly problem: string | null;
}

/** Longer than a typist takes for the next key: what is worked out beside does not begin in the middle of a figure. */
const PAUSE_MS = 250;
const NOTHING: Answered = { proposals: null, judged: null, ways: null, problem: null };

/**
 * Works the workbench out beside the interface, again after every change: a newer workbench overtakes an older one. The last
 * answer stays until the next one is there.
 */
export function useWorkedOut(workbench: Workbench): Worked {
  const [{ proposals, judged, ways, problem }, setAnswered] = useState(NOTHING);
  const [ask] = useState(() =>
    workOutAsker(newWorker, (asked, answer) => startTransition(() => setAnswered((former) => answeredWith(former, asked, answer)))),
  );
  useEffect(() => {
    const timer = setTimeout(() => ask.about(workbench), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [ask, workbench]);
  useEffect(() => ask.close, [ask]);
  const [isProposing, isJudging] = [proposals?.workbench !== workbench, judged?.workbench !== workbench];
  return useMemo(
    () => ({
      proposals: proposals?.found ?? null,
      judged: judged?.found ?? null,
      // A way that does not fit what is proposed would be worse than none.
      ways: ways?.workbench === workbench ? ways.found : null,
      isProposing,
      isJudging,
      problem,
    }),
    [proposals, judged, ways, workbench, isProposing, isJudging, problem],
  );
}

function answeredWith(former: Answered, workbench: Workbench, answer: WorkOutAnswer): Answered {
  if ('problem' in answer) return { ...former, problem: answer.problem };
  if ('proposals' in answer) return { ...former, problem: null, proposals: { workbench, found: answer.proposals } };
  if ('ways' in answer) return { ...former, ways: { workbench, found: answer.ways } };
  return { ...former, problem: null, judged: { workbench, found: answer.judged } };
}

function newWorker(): Worker {
  return new Worker(new URL('../../workers/work-out.ts', import.meta.url), { type: 'module' });
}
