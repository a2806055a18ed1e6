import { assembleToPrice } from '#core/assembly/assemble-to-price';
import { chancesAtOnce } from '#core/chance/chance-answer';
import { uncertainStated } from '#core/chance/uncertain';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import type { Workbench } from '#core/decision/workbench';
import type { VersionName } from '#core/forecast/versions';
import { verdictAsked } from '#core/verdict/asked';
import { verdictBasis } from '#core/verdict/basis';
import { giveVerdict, proposedChoice } from '#core/verdict/give';
import { price } from '../workbench/workbench-context';

/** Workbenches never change; what one would be decided as is worked out once a day. */
const worked = new WeakMap<Workbench, { readonly today: string; readonly verdict: GivenVerdict | null }>();

/** The verdict as it would be if it were given now; null if no candidate can be chosen. */
export function asItStands(workbench: Workbench, today: string): GivenVerdict | null {
  const found = worked.get(workbench);
  if (found?.today === today) return found.verdict;
  const verdict = workedOut(workbench, today);
  worked.set(workbench, { today, verdict });
  return verdict;
}

function workedOut(workbench: Workbench, today: string, version: VersionName = 'expected'): GivenVerdict | null {
  const { priced, lineUp } = price(workbench, version);
  const choice = workbench.decision.choice ?? proposedChoice(priced);
  if (!choice) return null;
  const { file } = assembleToPrice(workbench);
  const basis = verdictBasis(priced.pricing.file, verdictAsked(workbench, file, version, choice.kind === 'route'));
  const chance = chancesAtOnce(priced.pricing.file, uncertainStated(workbench.decision));
  return giveVerdict({ workbench, priced, lineUp, basis, chance, version, today }, choice, 'as-it-stands');
}
