import { problemsOf, RefusedFileError } from './problems';
import { referenceProblems } from './references';
import { type DecisionFile, decisionFileSchema } from './schema';

/**
 * Reads a decision file that was already parsed as JSON.
 *
 * @param document - anything
 * @returns the validated file, decimals as strings
 * @throws RefusedFileError with every problem found; nothing is computed from a refused file
 */
export function readDecisionFile(document: unknown): DecisionFile {
  const parsed = decisionFileSchema.safeParse(document);
  if (!parsed.success) throw new RefusedFileError(problemsOf(document, parsed.error.issues));
  const problems = referenceProblems(parsed.data);
  if (problems.length > 0) throw new RefusedFileError(problems);
  return parsed.data;
}
