import type { Candidate } from '../decision-file/candidate-schema';
import type { Decision } from '../decision/decision-schema';
import type { Workbench } from '../decision/workbench';

/** The vendor among those a candidate takes a plan of that was set aside; undefined for none. */
export function setAsideOf({ plans }: Pick<Candidate, 'plans'>, { decision: { setAside = [] }, sheets }: Workbench): string | undefined {
  if (setAside.length === 0) return undefined;
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  return setAside.find(({ offer: aside }) =>
    offers.some(({ id, plans: sold }) => id === aside && sold.some((plan) => plans.some((entry) => entry.plan === plan.id))),
  )?.offer;
}

/** A workbench whose candidates are those of vendors that are still considered. */
export function withoutSetAside(workbench: Workbench): Workbench {
  const { decision } = workbench;
  if (!decision.setAside?.length) return workbench;
  const candidates = decision.candidates.filter((candidate) => setAsideOf(candidate, workbench) === undefined);
  return { ...workbench, decision: { ...decision, candidates } };
}

/**
 * A decision in which a vendor is not considered any more.
 *
 * @param ahead - by how much it is the best now, base currency; 0 where it is not
 * @param on - the day, `YYYY-MM-DD`
 */
export function withSetAside(decision: Decision, offer: string, reason: string, ahead: string, on: string): Decision {
  return { ...decision, setAside: [...(decision.setAside ?? []).filter((one) => one.offer !== offer), { offer, on, reason, ahead }] };
}

/** A decision in which a vendor is considered again. */
export function withTakenBack(decision: Decision, offer: string): Decision {
  const { setAside = [], ...rest } = decision;
  const others = setAside.filter((one) => one.offer !== offer);
  return others.length === 0 ? rest : { ...rest, setAside: others };
}
