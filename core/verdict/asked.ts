import { assembleToPrice } from '../assembly/assemble-to-price';
import { workbenchInVersion, type Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import { VERSION_NAMES, type VersionName } from '../forecast/versions';
import { assumptionsOf } from '../what-if/assumption';
import { USUAL_MOVING } from '../route/moving-costs';
import type { VerdictAsked } from './basis';
import { featureNames } from './names';

/**
 * What a verdict on a decision, in one version of its sales, is worked out from.
 *
 * @param isWayAsked - whether the cheapest way through the horizon is wanted too
 */
export function verdictAsked(workbench: Workbench, file: DecisionFile, version: VersionName, isWayAsked: boolean): VerdictAsked {
  const { whatIf, needs = [] } = workbench.decision;
  return {
    workbench: lean(workbenchInVersion(workbench, version)),
    others: VERSION_NAMES.filter((other) => other !== version).map((other) => ({
      version: other,
      file: assembleToPrice(workbenchInVersion(workbench, other)).file,
    })),
    varied: assumptionsOf(file).map((assumption) => {
      const [low, high] = whatIf?.ranges?.[assumption.key] ?? assumption.usual.map(String);
      return { assumption, low: Number(low), high: Number(high) };
    }),
    moving: isWayAsked ? (whatIf?.moving ?? USUAL_MOVING) : null,
    names: featureNames(needs),
  };
}

/** Without what conditions do not ask about and what grows with the years. */
function lean({ decision, sheets }: Workbench): Workbench {
  const { verdicts: _verdicts, actuals: _actuals, ...rest } = decision;
  return { decision: rest, sheets };
}
