import * as z from 'zod';
import { slug } from '#core/fields/amounts';
import { keptFileSchema, keptPartSchema } from '#core/past-orders/kept-orders';
import { addOrderPart, beginOrderFile, deleteOrders, finishOrderFile, orderPart } from '#data/past-orders';
import { database } from '../server/database.server';
import { readBody } from '../server/save-request.server';
import type { Route } from './+types/past-orders-data';
import { pastOrdersData as words } from './words/past-orders-data';

const place = z.number().int().min(0).max(10_000);
const askedSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('begin'), id: slug, file: keptFileSchema }),
  z.strictObject({ do: z.literal('add'), id: slug, place, part: keptPartSchema }),
  z.strictObject({ do: z.literal('finish'), id: slug }),
  z.strictObject({ do: z.literal('delete'), id: slug.nullable() }),
]);

/** Keeps past orders of a decision, in parts, or deletes them. */
export async function action({ request, params: { decisionId } }: Route.ActionArgs): Promise<Response> {
  const body = await readBody(request, askedSchema);
  if ('why' in body) return Response.json({ why: body.why }, { status: 422 });
  const db = await database();
  const asked = body.value;
  let isDone = true;
  if (asked.do === 'delete') await deleteOrders(db, decisionId, asked.id);
  else if (asked.do === 'begin') isDone = await beginOrderFile(db, decisionId, asked.id, asked.file, new Date().toISOString());
  else if (asked.do === 'add') isDone = await addOrderPart(db, decisionId, asked.id, asked.place, asked.part);
  else isDone = await finishOrderFile(db, decisionId, asked.id);
  return isDone ? Response.json({}) : Response.json({ why: words.theseOrdersAreNotExpected }, { status: 409 });
}

/** The orders in one part of a file that is kept. */
export async function loader({ request, params: { decisionId } }: Route.LoaderArgs): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const part = await orderPart(await database(), decisionId, searchParams.get('file') ?? '', Number(searchParams.get('part') ?? '0') || 0);
  if (!part) throw new Response(words.notFound, { status: 404 });
  return Response.json(part);
}
