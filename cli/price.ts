import { readFileSync } from 'node:fs';
import { describeProblem, RefusedFileError } from '../core/fields/problems';
import { decisionFileJsonSchema } from '../core/decision-file/json-schema';
import { readDecisionText } from '../core/decision-file/read';
import type { DecisionFile } from '../core/decision-file/schema';
import { answerDecision } from '../core/questions/answer-decision';
import { readPastOrders } from '../core/replay/read-past-orders';
import { replay } from '../core/replay/replay';
import { type Asked, readArguments } from './arguments';
import { explainMonth } from './explain-month';
import { resultTable } from './result-table';

const REFUSED = 2;
const MISUSED = 1;

/** What the command says and where it says it. */
export interface Output {
  out(line: string): void;
  problem(line: string): void;
}

/**
 * The `price` command: prices decision files in the order given.
 *
 * @param args - what stands behind `npm run price --`
 * @returns the exit code: 2 if a file was refused (the others are priced all the same), 1 if the call was wrong
 */
export function price(args: readonly string[], output: Output): number {
  const asked = readArguments(args);
  if ('problem' in asked) {
    output.problem(asked.problem);
    return MISUSED;
  }
  if (asked.schema) {
    output.out(JSON.stringify(decisionFileJsonSchema(), null, 2));
    return 0;
  }
  let code = 0;
  for (const path of asked.files) {
    try {
      const file = readDecisionText(readText(path));
      if (asked.orders === null) output.out(answer(file, asked));
      else code = Math.max(code, replayed(file, asked.orders, output));
    } catch (error) {
      for (const line of problemLines(error)) output.problem(`${path}: ${line}`);
      code = REFUSED;
    }
  }
  return code;
}

/** What past orders would have cost; problems of their file are told by its own name. */
function replayed(file: DecisionFile, path: string, output: Output): number {
  try {
    output.out(JSON.stringify(replay(file, readPastOrders(readText(path), file))));
    return 0;
  } catch (error) {
    for (const line of problemLines(error)) output.problem(`${path}: ${line}`);
    return REFUSED;
  }
}

function answer(file: DecisionFile, { table, explain }: Asked): string {
  if (explain) return explainMonth(file, explain.candidate, explain.month);
  return table ? resultTable(file) : JSON.stringify(answerDecision(file));
}

function readText(path: string): string {
  return readFileSync(path === '-' ? 0 : path, 'utf8');
}

function problemLines(error: unknown): string[] {
  if (error instanceof RefusedFileError) return error.problems.map(describeProblem);
  if (error instanceof Error && ('code' in error || error instanceof RangeError)) return [error.message];
  throw error;
}
