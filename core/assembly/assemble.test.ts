import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { assembleDecisionFile } from './assemble';
import { takeApart } from '../decision/take-apart';
import { type Workbench, withDecision } from '../decision/workbench';

const folder = new URL('../cases/', import.meta.url);

function load(name: string): DecisionFile {
  const {
    route: _route,
    propose: _propose,
    ...document
  } = JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as Record<string, unknown>;
  return readDecisionFile(document);
}

function workbench(name = '13-larkfell.json'): Workbench {
  let next = 0;
  return takeApart(load(name), () => `sheet-${next++}`);
}

const cases = readdirSync(folder).filter((name) => /^\d\d-.*\.json$/.test(name) && !name.endsWith('.result.json'));

describe('taking a decision file apart and putting it together', () => {
  it.each(cases)('%s gives the same result', (name) => {
    const { file, heldBack } = assembleDecisionFile(workbench(name));
    expect(heldBack).toEqual([]);
    expect(priceDecision(readDecisionFile(file)).result).toEqual(priceDecision(load(name)).result);
  });
});

describe('what cannot be priced yet is held back, and everything else keeps its figures', () => {
  const held = (changed: Workbench) => {
    const { file, heldBack } = assembleDecisionFile(changed);
    const whole = priceDecision(load('13-larkfell.json')).result.candidates;
    for (const one of priceDecision(readDecisionFile(file)).result.candidates) expect(one).toEqual(whole.find(({ id }) => id === one.id));
    return heldBack.map(({ candidate, obstacle }) => [candidate.id, obstacle]);
  };

  it('a currency without a rate', () => {
    const changed = withDecision(workbench(), ({ rates: _rates, ...decision }) => decision);
    expect(held(changed)).toEqual([['E', { kind: 'rate', currency: 'USD' }]]);
  });

  it('a plan whose sheet was taken off, and a processor', () => {
    const before = workbench();
    const without = (id: string) => ({
      ...before,
      sheets: before.sheets.filter(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.id : sheet.kind) !== id),
    });
    expect(held(without('brindle'))).toEqual([['D', { kind: 'gone', what: 'plan' }]]);
    expect(held(without('processor'))).toEqual([['C', { kind: 'gone', what: 'processor' }]]);
  });

  it('plans that share the streams and leave one out, or name one that is gone', () => {
    const sharing = (streams: string[]) =>
      withDecision(workbench(), (decision) => ({
        ...decision,
        candidates: decision.candidates.map((one) =>
          one.id === 'A' ? { ...one, plans: one.plans.map((entry) => ({ ...entry, streams })) } : one,
        ),
      }));
    const [first, ...others] = load('13-larkfell.json').forecast.streams;
    const ids = others.map(({ id }) => id);
    expect(held(sharing(ids))).toEqual([['A', { kind: 'unhandled', stream: first?.label }]]);
    expect(held(sharing([...ids, first?.id ?? '', 'gone']))).toEqual([['A', { kind: 'stream-gone' }]]);
  });

  it('a fee on a quantity or a stream that the forecast does not have', () => {
    const before = workbench();
    const withCharge = (extra: object) => ({
      ...before,
      sheets: before.sheets.map((used) =>
        used.sheet.kind === 'offer' && used.sheet.offer.id === 'marlpit'
          ? {
              ...used,
              sheet: {
                ...used.sheet,
                offer: {
                  ...used.sheet.offer,
                  plans: used.sheet.offer.plans.map((plan) => ({
                    ...plan,
                    charges: [{ id: 'new', label: 'new', how: 'per-unit' as const, each: '1', ...extra }],
                  })),
                },
              },
            }
          : used,
      ),
    });
    expect(held(withCharge({ on: 'parcels' }))).toEqual([['A', { kind: 'quantity', quantity: 'parcels' }]]);
    expect(held(withCharge({ free: { per: 'parcels', ratio: '1' } }))).toEqual([['A', { kind: 'quantity', quantity: 'parcels' }]]);
    expect(held(withCharge({ only: { streams: ['books'] } }))).toEqual([['A', { kind: 'stream', stream: 'books' }]]);
  });
});
