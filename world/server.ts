import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import * as z from 'zod';
import { movedDates } from '../core/calendar/moved-dates';
import orders from '../demo/past-orders/larkfell-kites.csv?raw';
import { pageOn, ratesOn } from './catalogue';
import { type Fault, FAULTS, frontPage, ORDERS_PATH, pricingPage, ratesFile } from './pages';

/** The day on which the made-up world begins, as it is written down. */
export const FIRST_DAY = '2026-11-25';

/** The day on which it was written; the demo was written on the same. */
const WRITTEN_ON = '2026-11-28';

const MOST_FORM_BYTES = 2_000;
const day = z.iso.date('use a day such as 2027-01-15');
const clockSchema = z.union([z.object({ to: day }), z.object({ days: z.coerce.number().int().min(1).max(3_650) })]);
const faultSchema = z.object({ path: z.string().max(100), fault: z.enum(FAULTS) });

interface World {
  /** As it is written down; what is sent and asked for is moved to the day of the demo. */
  today: string;
  readonly moved: (text: string) => string;
  readonly movedBack: (text: string) => string;
  faults: Record<string, Fault>;
}

/**
 * A small stand-in for the outside: vendors' pricing pages (`/vendors/NAME`) and daily exchange rates
 * (`/rates/daily.xml`) that change with a clock of its own. `POST /clock` with `to=DAY` or `days=N` moves it; `POST
 * /faults` with `path` and `fault` makes a page be away, slow, half-written or hostile.
 *
 * @param demoDay - `YYYY-MM-DD`, on which the demo was loaded: all dates are moved to it as the demo's are
 */
export function worldServer(demoDay: string = WRITTEN_ON): Server {
  const world: World = {
    today: FIRST_DAY,
    faults: {},
    moved: (text) => movedDates(text, WRITTEN_ON, demoDay),
    movedBack: (text) => movedDates(text, demoDay, WRITTEN_ON),
  };
  return createServer((request, response) => {
    answer(world, request, response).catch(() => plain(response, 500, 'something went wrong'));
  });
}

async function answer(world: World, request: IncomingMessage, response: ServerResponse): Promise<void> {
  const path = new URL(request.url ?? '/', 'http://world.invalid').pathname;
  if (request.method === 'POST') return change(world, path, await formOf(request), response);
  if (path === '/') return send(response, 'text/html; charset=utf-8', world.moved(frontPage(world.today, world.faults)));
  const content = contentOf(path, world.today);
  if (!content) return plain(response, 404, 'there is nothing here');
  behave(world.faults[path] ?? 'none', path, { ...content, text: world.moved(content.text) }, response);
}

interface Content {
  readonly type: string;
  readonly text: string;
}

function contentOf(path: string, today: string): Content | null {
  if (path === '/rates/daily.xml') return { type: 'text/xml; charset=utf-8', text: ratesFile(today, ratesOn(today)) };
  if (path === ORDERS_PATH) return { type: 'text/csv; charset=utf-8', text: orders };
  const page = pageOn(/^\/vendors\/([a-z]+)$/.exec(path)?.[1] ?? '', today);
  return page ? { type: 'text/html; charset=utf-8', text: pricingPage(page) } : null;
}

/** Sends a page as it is, or as a page sometimes is. */
function behave(fault: Fault, path: string, { type, text }: Content, response: ServerResponse): void {
  switch (fault) {
    case 'none':
      return send(response, type, text);
    case 'away':
      return plain(response, 503, 'away');
    case 'slow':
      // Begins, and goes on forever, a little at a time.
      response.writeHead(200, { 'Content-Type': type });
      response.write(text.slice(0, 40));
      return trickle(response);
    case 'half-written':
      response.writeHead(200, { 'Content-Type': type, 'Content-Length': Buffer.byteLength(text) });
      response.write(text.slice(0, text.length / 2));
      setImmediate(() => response.destroy());
      return;
    case 'hostile':
      // Leads into the network of whoever looks; rates come with a bomb of entities.
      if (path.endsWith('.xml'))
        return send(
          response,
          type,
          `<?xml version="1.0"?><!DOCTYPE a [<!ENTITY b "bbbbbbbbbb"><!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;">]><a>&c;</a>`,
        );
      response.writeHead(302, { Location: 'http://169.254.169.254/latest/meta-data/' });
      response.end();
  }
}

const TRICKLE_MS = 500;

function trickle(response: ServerResponse): void {
  const timer = setInterval(() => response.write(' '), TRICKLE_MS);
  response.once('close', () => clearInterval(timer));
}

function change(world: World, path: string, form: Record<string, string>, response: ServerResponse): void {
  if (path === '/clock') {
    const asked = clockSchema.safeParse(form);
    if (!asked.success) return plain(response, 400, 'use to=DAY or days=N');
    world.today =
      'to' in asked.data
        ? world.movedBack(asked.data.to)
        : new Date(Date.parse(`${world.today}T00:00:00Z`) + asked.data.days * 86_400_000).toISOString().slice(0, 10);
    return back(response);
  }
  const asked = faultSchema.safeParse(form);
  if (path !== '/faults' || !asked.success) return plain(response, 400, `use path and fault (${FAULTS.join(', ')})`);
  world.faults[asked.data.path] = asked.data.fault;
  back(response);
}

async function formOf(request: IncomingMessage): Promise<Record<string, string>> {
  let text = '';
  for await (const chunk of request as AsyncIterable<Buffer>) {
    text += chunk.toString();
    if (text.length > MOST_FORM_BYTES) return {};
  }
  return Object.fromEntries(new URLSearchParams(text));
}

function send(response: ServerResponse, type: string, text: string): void {
  response.writeHead(200, { 'Content-Type': type, 'Cache-Control': 'no-store' });
  response.end(text);
}

function plain(response: ServerResponse, status: number, text: string): void {
  response.writeHead(status, { 'Content-Type': 'text/plain; charset=utf-8' });
  response.end(text);
}

function back(response: ServerResponse): void {
  response.writeHead(303, { Location: '/' });
  response.end();
}
