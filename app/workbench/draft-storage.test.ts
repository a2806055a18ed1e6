import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { LeftDraft } from './draft-storage';
import type { Draft } from './workbench-store';

/** A browser's storage in memory: its keys are its own properties, as in a browser. */
function storage(): Storage {
  const kept: Record<string, string> = {};
  const methods = {
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, value: string) => void (kept[key] = value),
    removeItem: (key: string) => void delete kept[key],
  };
  return new Proxy(kept, { get: (target, key) => methods[key as keyof typeof methods] ?? target[key as string] }) as unknown as Storage;
}

/** The names of windows that are open; null for a browser that does not say. */
let open: Set<string> | null = new Set();

type DraftStorage = typeof import('./draft-storage');

/** A window of its own on the same storage, as loading the page anew gives one. */
async function openWindow(): Promise<DraftStorage> {
  vi.resetModules();
  return import('./draft-storage');
}

let page: DraftStorage;
const { keepHalfTyped, keepUnread, leftUnread, keptText, isBehind, keepRevision } = new Proxy({} as DraftStorage, {
  get:
    (_target, name) =>
    (...args: unknown[]) =>
      (page[name as keyof DraftStorage] as (...all: unknown[]) => unknown)(...args),
});

beforeEach(async () => {
  vi.stubGlobal('localStorage', storage());
  vi.stubGlobal('sessionStorage', storage());
  open = new Set();
  vi.stubGlobal('navigator', {
    get locks() {
      if (open === null) return undefined;
      const held = open;
      return {
        request: (name: string) => (held.add(name), new Promise(() => undefined)),
        query: () => Promise.resolve({ held: [...held].map((name) => ({ name })) }),
      };
    },
  });
  page = await openWindow();
});
afterEach(() => vi.unstubAllGlobals());

describe('what the browser keeps', () => {
  it('of half-typed text comes back once, as text that is not taken over yet', () => {
    keepUnread('d', { other: { text: 'x', problem: 'use a number', label: 'Other' } });
    keepHalfTyped('d', { key: 'cell', text: '61.5', label: 'Plus, by the month', replaces: 'figure' });
    expect(leftUnread('d')).toEqual([
      ['other', { text: 'x', problem: 'use a number', label: 'Other' }],
      ['cell', { text: '61.5', label: 'Plus, by the month', replaces: 'figure', problem: 'Typed, but not saved yet.' }],
    ]);
    expect(leftUnread('d').map(([key]) => key)).toEqual(['other']);
    keepHalfTyped('d', { key: 'cell', text: '6', label: 'x' });
    keepHalfTyped('d', null);
    expect(leftUnread('d').map(([key]) => key)).toEqual(['other']);
    expect(leftUnread('another')).toEqual([]);
  });

  it('of a page being typed comes back, and nothing is kept of nothing', () => {
    const text = keptText('phrases.s');
    text.keep('27/mo');
    expect(keptText('phrases.s').read()).toBe('27/mo');
    text.keep('');
    expect(text.read()).toBe('');
    expect(sessionStorage.getItem('venalis.text.phrases.s')).toBeNull();
  });

  it('of a revision tells a page that is older than what this window has heard of', () => {
    expect(isBehind('d', 1)).toBe(false);
    keepRevision('d', 7);
    expect([isBehind('d', 6), isBehind('d', 7), isBehind('another', 6)]).toEqual([true, false, false]);
  });

  it('is nothing where storage is switched off, and nothing else suffers', async () => {
    const broken = () => {
      throw new Error('storage is switched off');
    };
    vi.stubGlobal('localStorage', { getItem: broken, setItem: broken, removeItem: broken });
    vi.stubGlobal('sessionStorage', { getItem: broken, setItem: broken, removeItem: broken });
    expect(() => keepHalfTyped('d', { key: 'a', text: 'b', label: 'c' })).not.toThrow();
    expect(leftUnread('d')).toEqual([]);
    expect(keptText('x').read()).toBe('');
    expect(await page.leftDrafts('d')).toEqual([]);
  });
});

describe('a browser that keeps nothing', () => {
  it('is lived with: nothing is behind, nothing left, and nothing breaks', async () => {
    const refuse = () => {
      throw new Error('storage is switched off');
    };
    vi.stubGlobal('localStorage', { getItem: refuse, setItem: refuse, removeItem: refuse });
    vi.stubGlobal('sessionStorage', { getItem: refuse, setItem: refuse, removeItem: refuse });
    keepRevision('d', 9);
    expect(isBehind('d', 1)).toBe(false);
    keepUnread('d', { field: { text: 'x', problem: 'p', label: 'l' } });
    keepHalfTyped('d', { key: 'cell', text: '6', label: 'l' });
    expect(leftUnread('d')).toEqual([]);
    expect(await page.leftDrafts('d')).toEqual([]);
    const drafts = page.draftStorage('d');
    expect(() => {
      drafts.clear();
      drafts.heardOf(3);
    }).not.toThrow();
    expect(keptText('phrases').read()).toBe('');
  });
});

describe('drafts of several windows', () => {
  const draft = (name: string): Draft => ({
    workbench: { decision: { name, currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] }, sheets: [] },
    revision: 3,
    touched: [],
    change: { key: 'name', label: 'the question' },
  });
  const names = (left: readonly LeftDraft[]) => left.map((one) => ('draft' in one ? one.draft.workbench.decision.name : one.text));
  /** The window's page ends: the browser drops what it held. */
  const closeAll = () => open?.clear();

  it('stand beside each other: neither takes the other’s place, and none is taken up while its window is open', async () => {
    const first = await openWindow();
    first.draftStorage('d').keep(draft('first'));
    const second = await openWindow();
    second.draftStorage('d').keep(draft('second'));
    expect(names(await second.leftDrafts('d'))).toEqual([]);
    closeAll();
    const third = await openWindow();
    expect(names(await third.leftDrafts('d')).sort()).toEqual(['first', 'second']);
    expect(await third.leftDrafts('another')).toEqual([]);
  });

  it('are gone once they are saved or discarded, and not before', async () => {
    const first = await openWindow();
    const drafts = first.draftStorage('d');
    drafts.keep(draft('first'));
    closeAll();
    const [left] = await page.leftDrafts('d');
    expect(left).toMatchObject({ draft: { revision: 3, change: { label: 'the question' } } });
    page.dropDraft(left?.key ?? '');
    expect(await page.leftDrafts('d')).toEqual([]);
    drafts.keep(draft('again'));
    drafts.clear();
    expect(await page.leftDrafts('d')).toEqual([]);
  });

  it('of an earlier version of Venalis, one for all windows, are found; what cannot be read comes as text', async () => {
    const { workbench: bench, ...rest } = draft('earlier');
    localStorage.setItem('venalis.draft.d', JSON.stringify({ bench, ...rest }));
    localStorage.setItem('venalis.draft.d.old', '{"bench": 7}');
    expect(names(await page.leftDrafts('d')).sort()).toEqual(['earlier', '{"bench": 7}']);
  });

  it('in a browser that does not say which windows are open, count as left when nothing was added for a while', async () => {
    open = null;
    const first = await openWindow();
    first.draftStorage('d').keep(draft('first'));
    expect(names(await page.leftDrafts('d'))).toEqual([]);
    vi.useFakeTimers({ now: Date.now() + 180_000, toFake: ['Date'] });
    expect(names(await page.leftDrafts('d'))).toEqual(['first']);
    vi.useRealTimers();
    // The page that comes after one in the same tab needs no waiting.
    const second = await openWindow();
    second.draftStorage('e').keep(draft('reloaded'));
    second.noteThisTab('e');
    expect(names(await page.leftDrafts('e'))).toEqual(['reloaded']);
  });

  it('that can be kept nowhere make leaving lose something, until they are saved', () => {
    expect(page.wouldLoseSomething()).toBe(false);
    vi.stubGlobal('localStorage', {
      setItem: () => {
        throw new Error('full');
      },
      removeItem: () => undefined,
    });
    page.draftStorage('d').keep(draft('lost?'));
    expect(page.wouldLoseSomething()).toBe(true);
    page.draftStorage('d').clear();
    expect(page.wouldLoseSomething()).toBe(false);
    page.keptText('x').keep('kept');
    expect(page.wouldLoseSomething()).toBe(false);
  });
});
