import { redirect } from 'react-router';
import { takeOrders } from '#core/past-orders/archived-orders';
import type { KeptOrders } from '#core/past-orders/kept-orders';
import { keepOrders } from '#data/past-orders';
import { createDecision } from '#data/decisions';
import { priceDecision } from '#core/comparison/decision-result';
import { isArchive, readArchive } from '#core/assembly/archive';
import { assembleDecisionFile } from '#core/assembly/assemble';
import { takeApart } from '#core/decision/take-apart';
import { type Problem, RefusedFileError } from '#core/fields/problems';
import { LONGEST_FILE, parseDocument, readDecisionFile } from '#core/decision-file/read';
import type { DecisionFile } from '#core/decision-file/schema';
import { database } from '../server/database.server';
import { newId } from '../workbench/new-id';
import type { Route } from './+types/import';

/** In characters; only past orders make a file so long. */
const LONGEST_WITH_ORDERS = 200 * 1024 * 1024;

/** What a decision file holds, before it is taken in; or everything that is wrong with it. */
export type ImportPreview =
  | {
      readonly ok: true;
      readonly name: string;
      readonly currency: string;
      readonly start: string;
      readonly months: number;
      readonly streams: readonly string[];
      readonly sheets: readonly string[];
      readonly candidates: ReadonlyArray<{ id: string; label: string; total: string; atLeast: boolean; usable: boolean }>;
      /** How many past orders come with it. */
      readonly orders: number;
      /** Questions of the file that the application answers in its own way and does not keep. */
      readonly questions: readonly string[];
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Looks at a decision file sent as text; with `intent=keep` takes it in as a decision of its own and opens it. */
export async function action({ request }: Route.ActionArgs): Promise<ImportPreview> {
  const text = await request.text();
  try {
    const { document, orders } = takeOrders(parseDocument(text, LONGEST_WITH_ORDERS));
    if (text.length > LONGEST_FILE && orders.length === 0) parseDocument(text);
    const workbench = isArchive(document) ? readArchive(document, newId) : takeApart(readDecisionFile(document), newId);
    const file = isArchive(document) ? assembleDecisionFile(workbench).file : readDecisionFile(document);
    if (new URL(request.url).searchParams.get('intent') !== 'keep') return preview(file, orders);
    const id = newId();
    await createDecision(await database(), id, workbench, new Date().toISOString());
    await keepOrders(await database(), id, orders, newId, new Date().toISOString());
    throw redirect(`/decisions/${id}/line-up`);
  } catch (error) {
    if (error instanceof RefusedFileError) return { ok: false, problems: error.problems };
    throw error;
  }
}

/** Files are chosen on the list of decisions. */
export function loader() {
  throw redirect('/decisions');
}

function preview(file: DecisionFile, orders: readonly KeptOrders[]): ImportPreview {
  const { result } = priceDecision(file);
  const totals = new Map(result.candidates.map((one) => [one.id, one]));
  return {
    ok: true,
    name: file.name,
    currency: file.currency,
    start: file.start,
    months: file.months,
    streams: file.forecast.streams.map(({ label }) => label),
    sheets: [...file.offers, ...(file.addons ?? []), ...(file.processors ?? [])].map(({ label }) => label),
    candidates: file.candidates.map(({ id, label }) => {
      const one = totals.get(id);
      return { id, label, total: one?.total ?? '0', atLeast: (one?.unknown.length ?? 0) > 0, usable: one?.usable ?? false };
    }),
    orders: orders.reduce((sum, one) => sum + one.file.orders, 0),
    questions: (['breakEven', 'cheapestAt', 'route', 'propose'] as const).filter((question) => file[question] !== undefined),
  };
}
