import { priceDecision } from '../comparison/decision-result';
import { assembleToPrice } from '../assembly/assemble-to-price';
import type { Workbench } from '../decision/workbench';
import { fitTable } from '../fit/criteria';
import { fits } from '../fit/fit';
import { type FirstPlaces, firstPlaces } from '../fit/stability';
import { usableRows } from '../fit/usable-rows';
import type { DecisionProposals } from '../proposals/decision-proposals';
import { type Caveats, caveatsOf } from './caveats';
import { comingBack, type ComingBack } from '../proposals/coming-back';
import { withFollowed } from '../proposals/followed';
import { unseenBest, type UnseenBest } from '../proposals/unseen-best';
import { type OpenQuestion, toFindOut } from '../proposals/to-find-out';

/** What takes longer than a frame to work out about a decision. */
export interface WorkedOut {
  readonly proposals: DecisionProposals;
  readonly judged: Judged;
}

/** What rests on the proposals. */
export interface Judged {
  readonly questions: readonly OpenQuestion[];
  /** Over all ways of weighing, how often each usable candidate fits best. */
  readonly firstPlaces: readonly FirstPlaces[];
  /** What is proposed for a vendor, is no candidate yet, and would be better than all that are; null for nothing. */
  readonly unseen: UnseenBest | null;
  /** A vendor set aside that would be the best by now; null for none. */
  readonly comingBack: ComingBack | null;
  readonly caveats: Caveats;
}

/** What is to find out and how stable the fit is; candidates that follow a proposal are judged as it is now. */
export function judge(workbench: Workbench, proposals: DecisionProposals): Judged {
  const live = withFollowed(workbench, proposals);
  const { file } = assembleToPrice(live);
  const priced = priceDecision(file);
  const table = fitTable(live, file);
  return {
    questions: toFindOut({ workbench: live, priced, proposals, fits: fits(table) }),
    firstPlaces: firstPlaces(usableRows(table, priced)),
    unseen: unseenBest(live, proposals),
    comingBack: comingBack(live, proposals),
    caveats: caveatsOf(live, priced),
  };
}
