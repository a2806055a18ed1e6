import * as z from 'zod';
import { dayIn } from '../calendar/day';
import { dayField } from '../fields/day';
import type { Measurement } from '../decision/measurement-schema';
import { LARGEST_RECORDING, tooLarge } from './recording-size';

const MOST_REQUESTS = 20_000;
const LONGEST_TEXT = 300;

/** A recording that is not one, in words for the person who chose the file. */
export class UnreadableRecording extends Error {}

const time = z.number().refine(Number.isFinite).nullish().catch(null);
const text = z.string().catch('');
const entrySchema = z.object({
  request: z.object({ url: z.string() }),
  response: z
    .object({
      status: z.number().catch(0),
      _transferSize: time,
      headersSize: time,
      bodySize: time,
      content: z.object({ size: time }).optional().catch(undefined),
    })
    .catch({ status: 0, _transferSize: null, headersSize: null, bodySize: null }),
  _fromCache: z.unknown().optional(),
  cache: z.unknown().optional(),
});
const recordingSchema = z.object({
  log: z.object({
    browser: z.object({ name: text, version: text }).optional().catch(undefined),
    creator: z.object({ name: text, version: text }).optional().catch(undefined),
    pages: z
      .array(
        z.object({
          startedDateTime: text,
          title: text,
          pageTimings: z.object({ onLoad: time, onContentLoad: time }).catch({ onLoad: null, onContentLoad: null }),
        }),
      )
      .optional()
      .catch(undefined),
    entries: z.array(z.unknown()),
  }),
});

type Entry = z.output<typeof entrySchema>;

/**
 * Reads a HAR 1.2 recording as a browser saves it (the HTTP archive format), and keeps its figures only. Nothing in it
 * is fetched, executed or shown as markup.
 *
 * @throws UnreadableRecording with what is wrong and what is wanted
 */
export function readRecording(content: string, file: string, id: string): Measurement {
  if (content.length > LARGEST_RECORDING) throw new UnreadableRecording(tooLarge(content.length));
  const read = recordingSchema.safeParse(parsed(content));
  if (!read.success)
    throw new UnreadableRecording(
      'This is no recording in the HTTP archive format: it has no “log” with “entries”. Save it from the browser’s network panel, as HAR.',
    );
  const { log } = read.data;
  if (log.entries.length > MOST_REQUESTS)
    throw new UnreadableRecording(
      `The recording has ${log.entries.length} requests; up to ${MOST_REQUESTS} are read. Record one page only.`,
    );
  const entries = log.entries.flatMap((one) => {
    const entry = entrySchema.safeParse(one);
    return entry.success && hostOf(entry.data.request.url) !== null ? [entry.data] : [];
  });
  const [first] = entries;
  if (!first) throw new UnreadableRecording('The recording has no requests. Open the network panel first, load the page, then save.');
  const [page] = log.pages ?? [];
  const own = siteOf(hostOf(first.request.url) ?? '');
  const made = log.browser ?? log.creator;
  return {
    id,
    file: file.slice(0, LONGEST_TEXT),
    page: shortAddress(first.request.url),
    at: dayField.safeParse(dayIn(page?.startedDateTime ?? '')).data ?? null,
    browser: `${made?.name ?? ''} ${made?.version.split('.')[0] ?? ''}`.trim().slice(0, 100),
    loadMs: milliseconds(page?.pageTimings.onLoad),
    contentMs: milliseconds(page?.pageTimings.onContentLoad),
    requests: entries.length,
    bytes: bounded(entries.reduce((sum, entry) => sum + bytesOf(entry), 0)),
    cached: entries.filter(isCached).length,
    failed: entries.filter(({ response: { status } }) => status === 0 || status >= 400).length,
    thirdParties: thirdParties(entries, own),
  };
}

function parsed(content: string): unknown {
  try {
    return JSON.parse(content.charCodeAt(0) === 0xfeff ? content.slice(1) : content);
  } catch (error) {
    const where = error instanceof Error ? /position (\d+)/.exec(error.message)?.[1] : undefined;
    throw new UnreadableRecording(
      `This is not JSON${where === undefined ? '' : `: something is wrong at character ${where}`}. Was the file cut off when it was saved?`,
    );
  }
}

/** Bytes over the network: what the browser says of the transfer, else headers and body. */
function bytesOf({ response }: Entry): number {
  const { _transferSize: transferred, headersSize, bodySize } = response;
  if (transferred !== null && transferred !== undefined && transferred >= 0) return bounded(transferred);
  return bounded(Math.max(0, headersSize ?? 0) + Math.max(0, bodySize ?? 0));
}

const bounded = (value: number) => Math.round(Math.min(1e12, value));

function isCached({ _fromCache, response }: Entry): boolean {
  return (_fromCache !== undefined && _fromCache !== null && _fromCache !== false) || response.status === 304;
}

function thirdParties(entries: readonly Entry[], own: string): Measurement['thirdParties'] {
  const hosts = new Map<string, { requests: number; bytes: number }>();
  for (const entry of entries) {
    const host = hostOf(entry.request.url) ?? '';
    if (siteOf(host) === own) continue;
    const { requests, bytes } = hosts.get(host) ?? { requests: 0, bytes: 0 };
    hosts.set(host, { requests: requests + 1, bytes: bounded(bytes + bytesOf(entry)) });
  }
  return [...hosts]
    .map(([host, sums]) => ({ host: host.slice(0, LONGEST_TEXT), ...sums }))
    .sort((a, b) => b.bytes - a.bytes || b.requests - a.requests)
    .slice(0, 200);
}

function hostOf(address: string): string | null {
  try {
    const { protocol, hostname } = new URL(address);
    return protocol === 'http:' || protocol === 'https:' ? hostname : null;
  } catch {
    return null;
  }
}

/** Public suffixes of two parts that occur often; without a list of all of them this is an approximation. */
const TWO_PART = /\.(co|com|org|net|ac|gov|edu)\.[a-z]{2}$/;

/** The site that a host belongs to: its last two parts, or three. Numbers stand for themselves. */
function siteOf(host: string): string {
  if (/^[\d.]+$/.test(host) || host.startsWith('[')) return host;
  return host
    .split('.')
    .slice(TWO_PART.test(host) ? -3 : -2)
    .join('.');
}

function shortAddress(address: string): string {
  const { hostname, pathname } = new URL(address);
  return `${hostname}${pathname}`.slice(0, 200);
}

function milliseconds(value: number | null | undefined): number | null {
  return value === null || value === undefined || value < 0 ? null : bounded(Math.round(value));
}
