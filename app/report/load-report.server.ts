import type { GivenVerdict } from '#core/decision/verdict-schema';
import { loadWorkbenchAt } from '#data/decisions';
import { writerFor } from '../locale/writer';
import { database } from '../server/database.server';
import { followedNow } from '#core/proposals/followed-now';
import { openDecision } from '../server/open-decision.server';
import { price } from '../workbench/workbench-context';
import { asItStands } from './as-it-stands.server';
import type { Report } from './report-blocks';
import { reportOf } from './report.server';
import { loadReport as words } from './words';

/**
 * The report on a decision: of one of its verdicts by id, of its newest one, or without any as it stands.
 *
 * @param locale - how figures are written
 * @param today - `YYYY-MM-DD`
 * @throws Response with status 404 if there is no such decision or verdict
 */
export async function loadReport(decisionId: string, verdictId: string | null, locale: string, today: string): Promise<Report> {
  const { workbench } = await openDecision(decisionId);
  const { name, verdicts = [] } = workbench.decision;
  const given = verdictId === null ? verdicts.at(-1) : verdicts.find(({ id }) => id === verdictId);
  if (verdictId !== null && !given) throw new Response(words.thereIsNoSuch, { status: 404 });
  const write = writerFor(locale, given?.currency ?? workbench.decision.currency);
  if (given) return reportOf({ decided: await decidedFrom(decisionId, given), name, verdict: given, isGiven: true, today, write });
  const { priced, lineUp } = price(workbench);
  return reportOf({ decided: { workbench, priced, lineUp }, name, verdict: asItStands(workbench, today), isGiven: false, today, write });
}

/** The decision in the revision that a verdict was made from, in its version of sales. */
async function decidedFrom(decisionId: string, { madeFrom, version }: GivenVerdict) {
  const saved = madeFrom && (await loadWorkbenchAt(await database(), decisionId, madeFrom.revision));
  if (!saved) return null;
  const workbench = followedNow(saved.workbench);
  const { priced, lineUp } = price(workbench, version);
  return { workbench, priced, lineUp };
}
