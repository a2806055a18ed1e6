import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { draftStorage, isBehind, keepHalfTyped, keepRevision, keepUnread, keptText, leftDraft, leftUnread } from './draft-storage';

/** A browser's storage in memory. */
function storage() {
  const kept = new Map<string, string>();
  return { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value), removeItem: (key: string) => void kept.delete(key) };
}

beforeEach(() => {
  vi.stubGlobal('localStorage', storage());
  vi.stubGlobal('sessionStorage', storage());
});
afterEach(() => vi.unstubAllGlobals());

describe('what the browser keeps', () => {
  it('of half-typed text comes back once, as text that is not taken over yet', () => {
    keepUnread('d', { other: { text: 'x', problem: 'a number is wanted', label: 'Other' } });
    keepHalfTyped('d', { key: 'cell', text: '61.5', label: 'Plus, by the month', replaces: 'figure' });
    expect(leftUnread('d')).toEqual([
      ['other', { text: 'x', problem: 'a number is wanted', label: 'Other' }],
      ['cell', { text: '61.5', label: 'Plus, by the month', replaces: 'figure', problem: 'Typed, and not taken over yet.' }],
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

  it('of a draft is checked, and rubbish is none', async () => {
    const bench = { decision: { name: 'q', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] }, sheets: [] };
    const draft = { bench, revision: 3, touched: [], change: { key: 'name', label: 'the question' } };
    const drafts = draftStorage('d');
    drafts.keep(draft);
    expect(await leftDraft('d')).toEqual(draft);
    drafts.clear();
    expect(await leftDraft('d')).toBeNull();
    localStorage.setItem('venalis.draft.d', '{"bench": 7}');
    expect(await leftDraft('d')).toBeNull();
    sessionStorage.setItem('venalis.unread.d', '{"a": {"text": 7}, "b": null}');
    expect(leftUnread('d')).toEqual([]);
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
    expect(await leftDraft('d')).toBeNull();
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
    expect(await leftDraft('d')).toBeNull();
    const drafts = draftStorage('d');
    expect(() => {
      drafts.clear();
      drafts.heardOf(3);
    }).not.toThrow();
    expect(keptText('phrases').read()).toBe('');
  });
});
