import { RefusedFileError } from '../fields/problems';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';

/** Random bounds can contradict each other (a monthly minimum above the cap); such files are rightly refused: null. */
export function readOrNull(file: DecisionFile): DecisionFile | null {
  try {
    return readDecisionFile(file);
  } catch (error) {
    if (error instanceof RefusedFileError) return null;
    throw error;
  }
}
