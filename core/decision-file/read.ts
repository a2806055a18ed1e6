import { problemsOf, RefusedFileError } from '../fields/problems';
import { referenceProblems } from './references';
import { type DecisionFile, decisionFileSchema } from './schema';
import { versionProblems } from './version-two';
import { structureProblems } from '../fields/structure';

/** The longest text that is read as a decision file, in characters. */
export const LONGEST_FILE = 5 * 1024 * 1024;

/**
 * Reads a decision file that was already parsed as JSON.
 *
 * @param document - anything
 * @returns the validated file, decimals as strings
 * @throws RefusedFileError with every problem found; nothing is computed from a refused file
 */
export function readDecisionFile(document: unknown): DecisionFile {
  const unfit = structureProblems(document);
  if (unfit.length > 0) throw new RefusedFileError(unfit);
  const parsed = decisionFileSchema.safeParse(document);
  if (!parsed.success) throw new RefusedFileError(problemsOf(document, parsed.error.issues));
  const problems = [...(parsed.data.version === 1 ? versionProblems(parsed.data) : []), ...referenceProblems(parsed.data)];
  if (problems.length > 0) throw new RefusedFileError(problems);
  return parsed.data;
}

/**
 * Reads the text of a decision file.
 *
 * @throws RefusedFileError also for a text that is no JSON, or too long
 * @example readDecisionText('{') // throws: document: found a text that is not JSON (…); JSON is wanted
 */
export function readDecisionText(text: string): DecisionFile {
  return readDecisionFile(parseDocument(text));
}

/**
 * The text of a file as a document.
 *
 * @throws RefusedFileError for a text that is no JSON, or too long
 */
export function parseDocument(text: string, longest = LONGEST_FILE): unknown {
  if (text.length > longest)
    throw new RefusedFileError([{ path: '', found: `${text.length} characters`, wanted: `use at most ${longest}` }]);
  return parseJson(text);
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    const reason = error instanceof Error ? error.message.slice(0, 120) : 'it ends early';
    throw new RefusedFileError([{ path: '', found: `a text that is not JSON (${reason})`, wanted: 'use JSON' }]);
  }
}
