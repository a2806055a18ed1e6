import type { Workbench } from '../decision/workbench';
import { assembleDecisionFile, type Assembled } from './assemble';
import { withOpenCardFees } from './card-fees';
import { withoutSetAside } from './set-aside';

/**
 * A workbench as the decision file that its candidates are compared by: as it is exported, without vendors that were set
 * aside, and with card fees that nobody entered as not known.
 */
export function assembleToPrice(workbench: Workbench): Assembled {
  const { file, heldBack } = assembleDecisionFile(withoutSetAside(workbench));
  return {
    file: withOpenCardFees(
      file,
      workbench.sheets.map(({ sheet }) => sheet),
    ),
    heldBack,
  };
}
