// Saves a decision again and again under a name that counts, and remembers what was acknowledged.
import { post } from './server-under-test.mjs';

const nameOf = (count) => `save ${count}`;
const countIn = (name) => Number(/^save (\d+)$/.exec(name)?.[1] ?? 0);

/** What a server has stored of a decision. */
export async function storedDecision(address, id) {
  const response = await fetch(`${address}decisions/${id}/stored`);
  if (!response.ok) throw new Error(`decision ${id} cannot be had: ${response.status}`);
  return response.json();
}

/** A client of one decision; it goes on where it was when the server comes back. */
export function savingClient(id) {
  let [acknowledged, attempted, revision] = [0, 0, 0];
  const times = [];
  return {
    id,
    times,
    acknowledged: () => acknowledged,
    /** Takes up how the decision stands; the number of acknowledged saves that are not there. */
    async check(address) {
      const document = await storedDecision(address, id);
      const stored = countIn(document.name);
      return { lost: Math.max(0, acknowledged - stored), isPossible: stored <= attempted };
    },
    /** Saves until `isOver` says so or the server is gone. */
    async save(address, isOver) {
      const { sheets, ...decision } = await storedDecision(address, id);
      const used = sheets.map(({ sheet, revision: of }) => ({ id: sheet, revision: of }));
      revision = await revisionOf(address, id, decision, used);
      attempted = Math.max(attempted, countIn(decision.name));
      acknowledged = Math.max(acknowledged, countIn(decision.name));
      while (!isOver()) {
        attempted += 1;
        const begun = performance.now();
        const body = JSON.stringify({
          key: nameOf(attempted),
          label: 'the name',
          revision,
          decision: { ...decision, name: nameOf(attempted) },
          sheets: used,
        });
        const reply = await post(address, `decisions/${id}/save`, body, { 'Content-Type': 'application/json' }).then((response) =>
          response.json(),
        );
        if (reply.kind !== 'saved') return reply;
        times.push(performance.now() - begun);
        acknowledged = attempted;
        revision = reply.saved.revision;
      }
      return { kind: 'saved' };
    },
  };
}

/** The revision that stands now: a save on none is refused with it. */
async function revisionOf(address, id, decision, sheets) {
  const body = JSON.stringify({ key: 'k', label: 'l', revision: 1_000_000_000, decision, sheets });
  const reply = await post(address, `decisions/${id}/save`, body, { 'Content-Type': 'application/json' }).then((response) =>
    response.json(),
  );
  if (reply.kind !== 'stale') throw new Error(`the decision’s revision is not said: ${JSON.stringify(reply).slice(0, 300)}`);
  return reply.current.revision;
}
