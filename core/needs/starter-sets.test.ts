import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contradictions, statedTwice } from './contradictions';
import { newNeed } from './edit-needs';
import type { DecisionNeed } from '../decision/need-schema';
import { needKey, needWords } from '../wording/need-words';
import { needsOfSets, STARTER_SETS, withStarterSets } from './starter-sets';

const ids = STARTER_SETS.map(({ id }) => id);

describe('needs to begin with', () => {
  it('of any sets together contradict nothing, stand once, and are what the sets hold', () => {
    fc.assert(
      fc.property(fc.subarray(ids), (chosen) => {
        const needs = needsOfSets(chosen);
        expect(statedTwice(needs)).toEqual([]);
        expect(contradictions(needs)).toEqual([]);
        const held = new Set(STARTER_SETS.filter(({ id }) => chosen.includes(id)).flatMap((set) => set.needs.map(needKey)));
        expect(new Set(needs.map(needKey))).toEqual(held);
      }),
    );
  });

  it('leave what is on the list as it is, and are taken once however often they are taken', () => {
    fc.assert(
      fc.property(fc.subarray(ids), fc.subarray(ids), (first, second) => {
        const mine: DecisionNeed = { feature: 'checkout', level: 'want', weight: '1', why: 'mine' };
        const once = withStarterSets([mine], first);
        expect(once[0]).toBe(mine);
        expect(withStarterSets(once, first)).toEqual(once);
        expect(new Set(withStarterSets(once, second).map(needKey))).toEqual(new Set([...once, ...needsOfSets(second)].map(needKey)));
      }),
    );
  });

  it('each have a name, a reason, and words that are not empty', () => {
    for (const { id, label, needs } of STARTER_SETS) {
      expect(label.length, id).toBeGreaterThan(3);
      for (const need of needs) {
        expect(need.why, need.feature).toBeTruthy();
        expect(needWords(need)).not.toBe('');
        expect(Number(need.weight)).toBeGreaterThan(0);
      }
    }
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('contradictions', () => {
  it('are found wherever they stand in the list, and only those', () => {
    const words = fc.constantFrom('adverts', 'stock', 'video', 'gift cards');
    const kind = fc.constantFrom<'yes-no' | 'without' | 'at-least'>('yes-no', 'without', 'at-least');
    fc.assert(
      fc.property(fc.array(fc.record({ words, kind }), { maxLength: 8 }), (stated) => {
        const needs = stated.map((one) => newNeed(one.words, one.kind, []));
        const wanted = new Set(needs.filter(({ without }) => !without).map(({ feature }) => feature));
        const unwanted = needs.filter(({ without, feature }) => without && wanted.has(feature));
        expect(contradictions(needs)).toHaveLength(unwanted.length);
        for (const { needs: pair, words: said } of contradictions(needs)) for (const need of pair) expect(said).toContain(needWords(need));
      }),
    );
  });
});
