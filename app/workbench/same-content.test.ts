import { describe, expect, it } from 'vitest';
import { newStream } from '#core/decision/edit-forecast';
import type { Workbench } from '#core/decision/workbench';
import { ageWords } from '../price-sheets/age-words';
import { draftSchema } from './draft-schema';
import { newId } from './new-id';
import { isSameContent } from './same-content';

const workbench: Workbench = {
  decision: { name: 'q', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [newStream('s', 'Sales')] }, candidates: [] },
  sheets: [{ id: 'x', revision: 1, sheet: { kind: 'processor', processor: { id: 'p', label: 'Pay', currency: 'EUR' } } }],
};

describe('isSameContent', () => {
  it('looks past revisions and the order of fields, and at nothing else', () => {
    const turned = Object.fromEntries(Object.entries(workbench.decision).reverse()) as Workbench['decision'];
    expect(isSameContent(workbench, { decision: turned, sheets: workbench.sheets.map((used) => ({ ...used, revision: 9 })) })).toBe(true);
    expect(isSameContent(workbench, { ...workbench, decision: { ...workbench.decision, months: 13 } })).toBe(false);
    expect(isSameContent(workbench, { ...workbench, sheets: [] })).toBe(false);
  });
});

describe('drafts from the browser’s storage', () => {
  const draft = { workbench, revision: 3, touched: ['x'], change: { key: 'name', label: 'the name' } };
  it('are taken as they were written', () => {
    expect(draftSchema.parse(JSON.parse(JSON.stringify(draft)))).toEqual(draft);
  });

  it('are not taken if another version of the application wrote something else', () => {
    expect(draftSchema.safeParse({ ...draft, workbench: { ...workbench, decision: { title: 'q' } } }).success).toBe(false);
    expect(draftSchema.safeParse({}).success).toBe(false);
  });
});

describe('identifiers and ages', () => {
  it('are fresh and fit to be identifiers', () => {
    const ids = Array.from({ length: 500 }, newId);
    expect(new Set(ids).size).toBe(500);
    expect(ids.every((id) => /^[a-z][a-z0-9]{12}$/.test(id))).toBe(true);
  });

  it.each([
    ['2026-11-24', 'today'],
    ['2026-11-23', 'yesterday'],
    ['2026-11-12', '12 days ago'],
    ['2026-11-03', '3 weeks ago'],
    ['2026-03-20', '8 months ago'],
    ['2026-12-01', 'today'],
  ])('%s was %s', (day, words) => {
    expect(ageWords(day, '2026-11-24')).toBe(words);
  });
});
