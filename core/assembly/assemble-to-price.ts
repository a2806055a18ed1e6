import type { Workbench } from '../decision/workbench';
import { assembleDecisionFile, type Assembled } from './assemble';
import { withOpenCardFees } from './card-fees';

/** A workbench as the decision file that its candidates are compared by: as it is exported, with card fees that nobody entered as not known. */
export function assembleToPrice(workbench: Workbench): Assembled {
  const { file, heldBack } = assembleDecisionFile(workbench);
  return {
    file: withOpenCardFees(
      file,
      workbench.sheets.map(({ sheet }) => sheet),
    ),
    heldBack,
  };
}
