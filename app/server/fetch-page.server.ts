import { lookup as resolveName } from 'node:dns/promises';
import { type IncomingMessage, request as httpRequest } from 'node:http';
import { request as httpsRequest } from 'node:https';
import { BlockList, isIP } from 'node:net';
import { ExponentialBackoff, handleWhen, retry } from 'cockatiel';

/** What a page was asked for with. */
export interface FetchLimits {
  /** Hosts with their ports that may be looked at although they are private. */
  readonly privateHosts: readonly string[];
  readonly timeoutMs: number;
  readonly mostBytes: number;
}

export const USUAL_LIMITS = { timeoutMs: 8_000, mostBytes: 2_000_000 } as const;

/** A page as text, or why there is none, in words. */
export type FetchedPage = { readonly ok: true; readonly text: string } | { readonly ok: false; readonly problem: string };

const MOST_REDIRECTS = 3;

const PRIVATE = new BlockList();
for (const [network, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
] as const)
  PRIVATE.addSubnet(network, bits, 'ipv4');
// Those that carry an address of version 4 in them lead wherever that leads: compatible, translated, 6to4, Teredo.
for (const [network, bits] of [
  ['::', 96],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
  ['100::', 64],
  ['2001::', 32],
  ['2001:db8::', 32],
  ['2002::', 16],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8],
] as const)
  PRIVATE.addSubnet(network, bits, 'ipv6');

/** Whether an IP address belongs to this computer or a private network; also one of version 4 written as version 6. */
export function isPrivateAddress(address: string): boolean {
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (mapped) return isPrivateAddress(mapped);
  if (isIP(address) === 6 && /^::ffff:/i.test(address)) return true;
  return PRIVATE.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4');
}

class Refused extends Error {}

/** Answers of a server that may well answer in a moment. */
const PASSING_ANSWERS: readonly number[] = [429, 502, 503, 504];
const PASSING_ERRORS = ['EAI_AGAIN'];

class PassingAnswer extends Refused {}

/** What passes by itself is asked for twice more, after about a third of a second and about twice that. */
const asking = retry(
  handleWhen((error) => error instanceof PassingAnswer || PASSING_ERRORS.includes(codeOf(error))),
  { maxAttempts: 2, backoff: new ExponentialBackoff({ initialDelay: 300, maxDelay: 2_000 }) },
);

/**
 * Fetches a page as a browser would, but carefully: http and https alone, no private networks beyond those configured
 * (checked for the address that is connected to, on every redirect), a few redirects, a time for all of it, and a most
 * of bytes.
 */
export async function fetchPage(address: string, { privateHosts, timeoutMs, mostBytes }: FetchLimits): Promise<FetchedPage> {
  const signal = AbortSignal.timeout(timeoutMs);
  try {
    // The time holds for whatever is waited for, also for what does not heed the signal by itself.
    return {
      ok: true,
      text: await Promise.race([asking.execute(() => followed(address, privateHosts, mostBytes, signal), signal), timeUp(signal)]),
    };
  } catch (error) {
    return { ok: false, problem: problemOf(error, signal.aborted, timeoutMs) };
  }
}

function timeUp(signal: AbortSignal): Promise<never> {
  return new Promise((_resolve, reject) => signal.addEventListener('abort', () => reject(new Refused('time is up')), { once: true }));
}

async function followed(address: string, privateHosts: readonly string[], mostBytes: number, signal: AbortSignal): Promise<string> {
  let at = new URL(address);
  for (let turn = 0; turn <= MOST_REDIRECTS; turn++) {
    const response = await ask(at, privateHosts, signal);
    const { statusCode = 0 } = response;
    const { location } = response.headers;
    if (statusCode >= 300 && statusCode < 400 && location !== undefined) {
      response.destroy();
      at = new URL(location, at);
      continue;
    }
    if (statusCode !== 200) {
      response.destroy();
      throw new (PASSING_ANSWERS.includes(statusCode) ? PassingAnswer : Refused)(`it answered with ${statusCode}`);
    }
    return textOf(response, mostBytes, signal);
  }
  throw new Refused('it leads from one address to the next without end');
}

/** Asks for one address; the name is resolved first, so that what was checked is what is connected to. */
async function ask(at: URL, privateHosts: readonly string[], signal: AbortSignal): Promise<IncomingMessage> {
  if (at.protocol !== 'http:' && at.protocol !== 'https:') throw new Refused(`it leads to ${at.protocol}//…, which is not fetched`);
  const host = at.hostname.replace(/^\[|\]$/g, '');
  const port = at.port || (at.protocol === 'https:' ? '443' : '80');
  const [found] = isIP(host) ? [{ address: host, family: isIP(host) }] : await resolveName(host, { all: true });
  if (!found) throw new Refused('its name is not known');
  if (isPrivateAddress(found.address) && !privateHosts.includes(`${at.hostname}:${port}`))
    throw new Refused(`it leads to ${at.host}, in a private network that is not among the hosts you allow`);
  const request = at.protocol === 'https:' ? httpsRequest : httpRequest;
  return new Promise((resolve, reject) => {
    const asked = request(at, {
      signal,
      headers: {
        Accept: 'text/html,application/xml;q=0.9,*/*;q=0.1',
        'Accept-Encoding': 'identity',
        'User-Agent': 'Venalis price watch',
      },
      lookup: (_host, options, callback) => {
        if (options.all) callback(null, [{ address: found.address, family: found.family }]);
        else callback(null, found.address, found.family);
      },
    });
    asked.once('response', resolve);
    asked.once('error', reject);
    // Something that is no page: it changes to another protocol, or offers a tunnel.
    for (const event of ['upgrade', 'connect'] as const)
      asked.once(event, (_answer: IncomingMessage, socket: { destroy(): void }) => {
        socket.destroy();
        reject(new Refused('it answered with something that is no page'));
      });
    asked.end();
  });
}

async function textOf(response: IncomingMessage, mostBytes: number, signal: AbortSignal): Promise<string> {
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of response as AsyncIterable<Buffer>) {
    bytes += chunk.length;
    if (bytes > mostBytes) {
      response.destroy();
      throw new Refused(`it is larger than ${Math.round(mostBytes / 1000)} kB`);
    }
    chunks.push(chunk);
  }
  // Cut off by our own time limit it can look as if it had ended.
  if (!response.complete || signal.aborted) throw new Refused('the answer broke off');
  return Buffer.concat(chunks).toString('utf8');
}

function codeOf(error: unknown): string {
  return error instanceof Error && 'code' in error ? String(error.code) : '';
}

function problemOf(error: unknown, isTimeout: boolean, timeoutMs: number): string {
  if (isTimeout) return `no whole answer within ${Math.round(timeoutMs / 1000)} seconds`;
  if (error instanceof Refused) return error.message;
  const code = codeOf(error);
  if (code === 'ECONNREFUSED') return 'nobody answers there';
  if (code === 'ENOTFOUND' || code === 'EAI_AGAIN') return 'its name is not known, or there is no network';
  if (code === 'ECONNRESET') return 'the answer broke off';
  if (code === 'ERR_INVALID_URL') return 'it leads to an address that cannot be read';
  return 'it could not be fetched';
}
