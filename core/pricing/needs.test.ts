import { describe, expect, it } from 'vitest';
import { onePlan, type OnePlan, withPlan } from '../tests/one-plan';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import { meets, mustsNotMet, mustsOf, unmetMusts } from './needs';

const must = (feature: string, more: Partial<Need> = {}): Need => ({ feature, level: 'must', ...more });

describe('a need', () => {
  it('is met by a yes, by any number above nothing, or by as much as is wanted', () => {
    expect(meets({ x: true }, must('x'))).toBe(true);
    const lacking: ReadonlyArray<Record<string, boolean | string | null> | undefined> = [
      { x: false },
      { x: null },
      {},
      undefined,
      { x: '0' },
    ];
    expect(lacking.some((features) => meets(features, must('x')))).toBe(false);
    expect(meets({ x: '1' }, must('x'))).toBe(true);
    expect(meets({ x: '3' }, must('x', { least: '3' }))).toBe(true);
    expect(meets({ x: '2' }, must('x', { least: '3' }))).toBe(false);
    expect(meets({ x: true }, must('x', { least: '3' }))).toBe(true);
    // What every record has by itself is no feature of it.
    expect(meets({}, must('constructor'))).toBe(false);
  });

  it('counts where it must be met within the horizon', () => {
    const needs = [must('a'), must('b', { from: '2027-03' }), must('c', { from: '2027-04' }), { feature: 'd', level: 'want' as const }];
    expect(mustsOf({ needs, start: '2027-01', months: 3 }).map(({ feature }) => feature)).toEqual(['a', 'b']);
    expect(mustsOf({ needs: undefined, start: '2027-01', months: 3 })).toEqual([]);
  });
});

describe('musts that are not met', () => {
  const made = (features: Record<string, boolean | string | null>, needs: Need[]): OnePlan => ({
    plan: { features },
    addons: [{ id: 'x', label: 'X', currency: 'EUR', features: { mail: true } }],
    file: { needs },
  });
  const unmet = (plan: OnePlan, more: Partial<Candidate> = {}) => unmetMusts(onePlan(plan), withPlan(more));

  it('are missing where a plan says a value, unclear where nobody says, each once', () => {
    const needs = [must('a'), must('b', { least: '2' }), must('b', { least: '3', from: '2027-02' }), must('c'), must('d')];
    expect(unmet(made({ a: false, b: '1', c: null }, needs))).toEqual({ missing: ['a', 'b'], unclear: ['c', 'd'] });
  });

  it('are met by an add-on or an extra too', () => {
    const plan = made({}, [must('mail'), must('till')]);
    expect(unmet(plan).unclear).toEqual(['mail', 'till']);
    expect(unmet(plan, { addons: [{ addon: 'x' }] }).unclear).toEqual(['till']);
    expect(unmet(plan, { extras: [{ label: 'Till', amount: '1', months: 0, features: { till: true } }] }).unclear).toEqual(['mail']);
  });

  it('are told with the month from which they are needed', () => {
    const needs = [must('a', { from: '2027-02' })];
    expect(mustsNotMet(onePlan(made({ a: false }, needs)), withPlan())).toEqual(needs);
    expect(mustsNotMet(onePlan(made({ a: true }, needs)), withPlan())).toEqual([]);
  });
});
