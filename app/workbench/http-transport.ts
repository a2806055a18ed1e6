import type { SaveReply, SaveRequest, SaveTransport } from './saved';
import { httpTransport as words } from './words/http-transport';

/** An answer is waited for this long. */
const LONGEST_MS = 75_000;

/** Saves through the decision's own addresses on the server. */
export function httpTransport(decisionId: string): SaveTransport {
  const post = async (address: string, body: unknown): Promise<SaveReply> => {
    try {
      const text = JSON.stringify(body);
      const response = await fetch(`/decisions/${decisionId}/${address}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: text,
        // Lets a save finish while the page is being left; browsers allow that up to 64 kB.
        keepalive: text.length < 60_000,
        signal: AbortSignal.timeout(LONGEST_MS),
      });
      if (response.headers.get('Content-Type')?.includes('application/json')) return (await response.json()) as SaveReply;
      // What fails on the server’s side may work the next time; what was sent is at fault only in the fours.
      if (response.status >= 500 || response.status === 429)
        return { kind: 'unreachable', why: words.theServerAnsweredTrying(response.status) };
      return { kind: 'refused', why: response.status === 413 ? words.itIsMoreThan : words.theServerAnswered(response.status) };
    } catch {
      return { kind: 'unreachable', why: words.venalisCantBeReached };
    }
  };
  return {
    save: (request: SaveRequest) => post('save', request),
    step: (direction, revision) => post('step', { direction, revision }),
  };
}
