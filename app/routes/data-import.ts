import { redirect } from 'react-router';
import { type ImportOutcome, importEverything, readEverything } from '#data/import-everything';
import { describeProblem, RefusedFileError } from '#core/fields/problems';
import { parseDocument } from '#core/decision-file/read';
import { database } from '../server/database.server';
import { newId } from '../workbench/new-id';
import type { Route } from './+types/data-import';

/** What became of a file with everything, or why nothing of it was taken in. */
export type EverythingReply =
  { readonly ok: true; readonly outcome: ImportOutcome } | { readonly ok: false; readonly problems: readonly string[] };

const MOST_PROBLEMS = 20;

/** Takes in a file that “Export everything” wrote, sent as its text. */
export async function action({ request }: Route.ActionArgs): Promise<Response> {
  try {
    const file = readEverything(parseDocument(await request.text()));
    return Response.json({
      ok: true,
      outcome: await importEverything(await database(), file, newId),
    } satisfies EverythingReply);
  } catch (error) {
    if (!(error instanceof RefusedFileError)) throw error;
    return Response.json({ ok: false, problems: error.problems.slice(0, MOST_PROBLEMS).map(describeProblem) } satisfies EverythingReply, {
      status: 422,
    });
  }
}

/** Files are chosen on the page of your data. */
export function loader() {
  throw redirect('/data');
}
