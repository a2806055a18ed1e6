import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Workbench } from '#core/decision/workbench';
import { withDecision } from '#core/decision/workbench';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { givenVerdict } from '#core/tests/given-verdict';
import type { Saved, SaveReply, SaveRequest } from './saved';
import { createWorkbenchStore, type Draft } from './workbench-store';

const workbench: Workbench = {
  decision: { name: 'start', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] },
  sheets: [{ id: 's', revision: 1, sheet: { kind: 'processor', processor: { id: 'p', label: 'Pay', currency: 'EUR' } } }],
};
const saved = (revision: number, of = workbench): Saved => ({
  workbench: of,
  revision,
  savedAt: '2026-11-03T09:00:00.000Z',
  undo: 'something',
  redo: null,
});

/** A server that saves everything, unless a test puts other replies in line. */
function setUp() {
  const requests: SaveRequest[] = [];
  const replies: Array<SaveReply | Promise<SaveReply>> = [];
  let draft: Draft | null = null;
  const heard: number[] = [];
  const painted: Array<() => void> = [];
  let revision = 1;
  const answer = (request: SaveRequest): SaveReply => {
    revision = request.revision + 1;
    const sheets = request.sheets.map(({ id, revision: used, changed }) => ({
      id,
      revision: changed ? used + 1 : used,
      sheet: changed ?? workbench.sheets[0]?.sheet ?? fail(),
    }));
    return { kind: 'saved', saved: saved(revision, { decision: request.decision, sheets }) };
  };
  const store = createWorkbenchStore(
    saved(1),
    {
      save(request) {
        requests.push(request);
        return Promise.resolve(replies.shift() ?? answer(request));
      },
      step: (_direction, from) => Promise.resolve({ kind: 'saved', saved: saved(from + 1) }),
    },
    { keep: (next) => (draft = next), clear: () => (draft = null), heardOf: (known) => void heard.push(known) },
    (then) => painted.push(then),
  );
  return { store, requests, replies, heard, draft: () => draft, paint: () => painted.splice(0).forEach((then) => then()) };
}

function fail(): never {
  throw new Error('a sheet is expected');
}

const rename = (name: string) => (before: Workbench) => withDecision(before, (decision) => ({ ...decision, name }));
const named = (name: string, revision: number) => saved(revision, rename(name)(workbench));

beforeEach(() => {
  vi.useFakeTimers();
});

describe('what follows a typed key', () => {
  const following = () => {
    const set = setUp();
    const seen: string[] = [];
    set.store.subscribe(() => seen.push(set.store.state().workbench.decision.name));
    const type = (name: string) => set.store.whileTyping(() => set.store.change({ key: 'name', label: 'the name' }, rename(name)));
    return { ...set, seen, type };
  };

  it('counts and is kept at once, but is told only once the key is painted, and once for all keys before', () => {
    const { store, draft, seen, type, paint } = following();
    type('K');
    type('Ki');
    expect([store.state().workbench.decision.name, draft()?.workbench.decision.name, seen]).toEqual(['Ki', 'Ki', []]);
    paint();
    expect(seen).toEqual(['Ki']);
  });

  it('is told at once when the field is left or anything else changes, and not a second time', () => {
    const { store, seen, type, paint } = following();
    type('K');
    store.tell();
    store.tell();
    expect(seen).toEqual(['K']);
    type('Ki');
    store.change({ key: 'other', label: 'another' }, rename('Kit'));
    const told = [...seen];
    paint();
    expect([told.at(-1), seen]).toEqual(['Kit', told]);
  });

  it('is told as ever after a key that failed', () => {
    const { store, seen } = following();
    const broken = () => {
      throw new Error('broken');
    };
    expect(() => store.whileTyping(broken)).toThrow('broken');
    store.change({ key: 'name', label: 'the name' }, rename('K'));
    expect(seen).toEqual(['K']);
  });
});

describe('the workbench store', () => {
  it('notes every revision that it hears of, before the draft it came from is gone', async () => {
    const { store, heard, draft } = setUp();
    store.change({ key: 'name', label: 'the name' }, rename('Kite'));
    expect([heard, draft()?.revision]).toEqual([[], 1]);
    await vi.runAllTimersAsync();
    expect([heard, draft()]).toEqual([[2], null]);
    store.receive(named('from elsewhere', 5));
    expect(heard).toEqual([2, 5]);
    await store.step('undo');
    expect(heard).toEqual([2, 5, 6]);
  });

  it('changes at once and saves a stretch of typing once', async () => {
    const { store, requests, draft } = setUp();
    for (const name of ['K', 'Ki', 'Kite']) store.change({ key: 'name', label: 'the name' }, rename(name));
    expect(store.state().workbench.decision.name).toBe('Kite');
    expect(store.state().save.kind).toBe('saving');
    expect(draft()?.workbench.decision.name).toBe('Kite');
    await vi.runAllTimersAsync();
    expect(requests.map(({ decision, revision }) => [decision.name, revision])).toEqual([['Kite', 1]]);
    expect(store.state()).toMatchObject({ revision: 2, save: { kind: 'saved' } });
    expect(draft()).toBeNull();
  });

  it('saves changes of different things one after the other, each on the revision before', async () => {
    const { store, requests } = setUp();
    store.change({ key: 'name', label: 'the name' }, rename('a'));
    store.change({ key: 'other', label: 'the other' }, rename('b'));
    await vi.runAllTimersAsync();
    expect(requests.map(({ label, revision }) => [label, revision])).toEqual([
      ['the name', 1],
      ['the other', 2],
    ]);
  });

  it('takes up with which revisions the server fixed a verdict, and leaves what is typed meanwhile', async () => {
    const { store, replies } = setUp();
    const verdict = givenVerdict({ parts: [{ candidate: 'A', label: 'Alder' }], reason: 'so' });
    const given = (of: Workbench, one: GivenVerdict) => withDecision(of, (decision) => ({ ...decision, verdicts: [one] }));
    let reply: (saved: SaveReply) => void = fail;
    replies.push(new Promise((resolve) => (reply = resolve)));
    store.change({ key: 'verdict', label: 'a verdict given' }, (before) => given(before, verdict));
    const sent = store.flush();
    store.change({ key: 'name', label: 'the name' }, rename('typed meanwhile'));
    reply({ kind: 'saved', saved: saved(2, given(workbench, { ...verdict, madeFrom: { revision: 2, sheets: { s: 1 } } })) });
    await sent;
    await vi.runAllTimersAsync();
    expect(store.state().workbench.decision).toMatchObject({
      name: 'typed meanwhile',
      verdicts: [{ id: 'v', madeFrom: { revision: 2, sheets: { s: 1 } } }],
    });
  });

  it('sends only sheets that changed', async () => {
    const { store, requests } = setUp();
    store.change({ key: 'sheet', label: 'a sheet' }, (before) => ({
      ...before,
      sheets: before.sheets.map((used) => ({ ...used, sheet: { ...used.sheet, seen: '2026-11-03' } })),
    }));
    store.change({ key: 'name', label: 'the name' }, rename('a'));
    await vi.runAllTimersAsync();
    expect(requests.map(({ sheets }) => sheets.map(({ revision, changed }) => [revision, changed?.seen]))).toEqual([
      [[1, '2026-11-03']],
      [[2, undefined]],
    ]);
  });

  it('uses another kept revision of a sheet without sending it as changed', async () => {
    const { store, requests } = setUp();
    store.change({ key: 'newest', label: 'the newest' }, (before) => ({
      ...before,
      sheets: before.sheets.map((used) => ({ ...used, revision: 4, sheet: { ...used.sheet, seen: '2026-11-20' } })),
    }));
    await vi.runAllTimersAsync();
    expect(requests[0]?.sheets).toEqual([{ id: 's', revision: 4 }]);
  });

  it('goes on trying while the server is away, and loses nothing', async () => {
    const { store, replies, requests } = setUp();
    replies.push({ kind: 'unreachable', why: 'away' });
    store.change({ key: 'name', label: 'the name' }, rename('a'));
    await vi.advanceTimersByTimeAsync(500);
    expect(store.state().save).toEqual({ kind: 'not-saved', why: 'away' });
    await vi.advanceTimersByTimeAsync(5_000);
    expect(store.state().save.kind).toBe('saved');
    expect(requests).toHaveLength(2);
  });

  it('tries less and less often while the server is away, and at once again when it was back', async () => {
    const { store, replies, requests } = setUp();
    replies.push(...Array.from({ length: 8 }, () => ({ kind: 'unreachable' as const, why: 'away' })));
    store.change({ key: 'name', label: 'the name' }, rename('a'));
    const tries: number[] = [];
    for (let second = 0; second <= 200; second++) {
      await vi.advanceTimersByTimeAsync(1_000);
      if (requests.length > tries.length) tries.push(second);
    }
    expect(tries.map((at, index) => at - (tries[index - 1] ?? at))).toEqual([0, 2, 4, 8, 16, 32, 60, 60]);
    await vi.runAllTimersAsync();
    expect(store.state().save.kind).toBe('saved');
    replies.push({ kind: 'unreachable', why: 'away' });
    const before = requests.length;
    store.change({ key: 'name', label: 'the name' }, rename('b'));
    await vi.advanceTimersByTimeAsync(3_000);
    expect(requests.length - before).toBe(2);
  });

  it('keeps a draft that it took up as one made on its own revision, until it is decided about', async () => {
    const { store, draft } = setUp();
    store.resume({ workbench: rename('left')(workbench), revision: 0, touched: [], change: { key: 'name', label: 'the name' } });
    expect(draft()?.revision).toBe(0);
    store.change({ key: 'name', label: 'the name' }, rename('typed on'));
    expect(draft()).toMatchObject({ revision: 0, workbench: { decision: { name: 'typed on' } } });
    await store.resolveConflict('mine');
    expect(draft()).toBeNull();
  });

  it('forgets a text that could not be read when its row goes', () => {
    const { store } = setUp();
    store.setUnread('sheet.p.figure', { text: 'x', problem: 'not a number', label: 'a fee' });
    store.setUnread('months', { text: 'y', problem: 'not a number', label: 'the months' });
    store.change({ key: 'sheets', label: 'a sheet taken off' }, (one) => ({ ...one, sheets: [] }));
    expect(Object.keys(store.state().unread)).toEqual(['months']);
  });

  it('sends what was refused along with the next change', async () => {
    const { store, replies, requests } = setUp();
    replies.push({ kind: 'refused', why: 'wrong' }, { kind: 'refused', why: 'wrong' });
    store.change({ key: 'name', label: 'the name' }, rename('a'));
    await vi.advanceTimersByTimeAsync(500);
    store.change({ key: 'other', label: 'the other' }, rename('b'));
    await vi.runAllTimersAsync();
    expect(requests.at(-1)?.decision.name).toBe('b');
    expect(store.state().save.kind).toBe('saved');
  });

  describe('when it was changed elsewhere', () => {
    async function conflict() {
      const all = setUp();
      all.replies.push({ kind: 'stale', current: named('theirs', 7), staleSheets: [] });
      all.store.change({ key: 'name', label: 'the name' }, rename('mine'));
      await vi.advanceTimersByTimeAsync(500);
      return all;
    }

    it('says so, keeps what was typed and saves nothing more by itself', async () => {
      const { store, requests, draft } = await conflict();
      store.change({ key: 'name', label: 'the name' }, rename('mine too'));
      await vi.runAllTimersAsync();
      expect(store.state()).toMatchObject({
        save: { kind: 'conflict', other: { revision: 7 } },
        workbench: { decision: { name: 'mine too' } },
      });
      expect(requests).toHaveLength(1);
      expect(draft()?.workbench.decision.name).toBe('mine too');
    });

    it('puts this version on top of the other', async () => {
      const { store, requests } = await conflict();
      await store.resolveConflict('mine');
      expect(requests.at(-1)).toMatchObject({ revision: 7, decision: { name: 'mine' } });
      expect(store.state()).toMatchObject({ save: { kind: 'saved' }, revision: 8, workbench: { decision: { name: 'mine' } } });
    });

    it('puts the other on top of this one, so that undo finds it', async () => {
      const { store, requests } = await conflict();
      await store.resolveConflict('other');
      expect(requests.slice(1).map(({ revision, decision }) => [revision, decision.name])).toEqual([
        [7, 'mine'],
        [8, 'theirs'],
      ]);
      expect(store.state()).toMatchObject({ save: { kind: 'saved' }, workbench: { decision: { name: 'theirs' } } });
    });

    it('goes on where a save arrived and its answer did not', async () => {
      const { store, replies, requests, draft } = setUp();
      replies.push({ kind: 'unreachable', why: 'away' }, { kind: 'stale', current: named('mine', 2), staleSheets: [] });
      store.change({ key: 'name', label: 'the name' }, rename('mine'));
      await vi.advanceTimersByTimeAsync(500);
      store.change({ key: 'name', label: 'the name' }, rename('mine, longer'));
      expect(draft()?.sent?.decision.name).toBe('mine');
      await vi.runAllTimersAsync();
      expect(requests.map(({ revision, decision }) => [revision, decision.name])).toEqual([
        [1, 'mine'],
        [1, 'mine, longer'],
        [2, 'mine, longer'],
      ]);
      expect(store.state()).toMatchObject({ save: { kind: 'saved' }, revision: 3, workbench: { decision: { name: 'mine, longer' } } });
    });

    it('does not take its own save for somebody else’s', async () => {
      const { store, replies } = setUp();
      replies.push({ kind: 'stale', current: named('mine', 2), staleSheets: [] });
      store.change({ key: 'name', label: 'the name' }, rename('mine'));
      await vi.runAllTimersAsync();
      expect(store.state()).toMatchObject({ save: { kind: 'saved' }, revision: 2 });
    });
  });

  it('takes up a draft that was left behind, as a change or as a conflict', async () => {
    const draft = { workbench: rename('left')(workbench), touched: [], change: { key: 'name', label: 'the name' } };
    const resumed = setUp();
    resumed.store.resume({ ...draft, revision: 1 });
    await vi.runAllTimersAsync();
    expect(resumed.requests.map(({ decision }) => decision.name)).toEqual(['left']);

    // Typed on while a save was on its way, and the page left: what is there is its own.
    const own = setUp();
    own.store.resume({ ...draft, revision: 0, sent: workbench });
    await vi.runAllTimersAsync();
    expect(own.requests.map(({ revision, decision }) => [revision, decision.name])).toEqual([[1, 'left']]);

    const late = setUp();
    late.store.resume({ ...draft, revision: 0, sent: rename('something else')(workbench) });
    expect(late.store.state()).toMatchObject({ save: { kind: 'conflict' }, workbench: { decision: { name: 'left' } } });
  });

  it('saves what waits before it undoes, and takes up what undo gives', async () => {
    const { store, requests } = setUp();
    store.change({ key: 'name', label: 'the name' }, rename('a'));
    await store.step('undo');
    expect(requests).toHaveLength(1);
    expect(store.state()).toMatchObject({ revision: 3, workbench: { decision: { name: 'start' } } });
  });

  it('takes up newer revisions only while nothing waits here', () => {
    const { store } = setUp();
    store.receive(named('newer', 2));
    expect(store.state().workbench.decision.name).toBe('newer');
    store.change({ key: 'name', label: 'the name' }, rename('mine'));
    store.receive(named('newest', 3));
    expect(store.state().workbench.decision.name).toBe('mine');
  });
});
