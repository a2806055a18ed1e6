import type { SaveReply, SaveRequest, SaveTransport } from './saved';

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
      });
      if (response.headers.get('Content-Type')?.includes('application/json')) return (await response.json()) as SaveReply;
      return { kind: 'refused', why: response.status === 413 ? 'it is more than 5 MB' : `the server answered ${response.status}` };
    } catch {
      return { kind: 'unreachable', why: 'Venalis cannot be reached; it goes on trying' };
    }
  };
  return {
    save: (request: SaveRequest) => post('save', request),
    step: (direction, revision) => post('step', { direction, revision }),
  };
}
