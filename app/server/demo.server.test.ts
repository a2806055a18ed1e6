import { expect, it } from 'vitest';
import { assembleDecisionFile } from '#core/assembly/assemble';
import { priceDecision } from '#core/comparison/decision-result';
import { askedVendors, unansweredOf } from '#core/needs/answers';
import { trialResult } from '#core/qualities/trial';
import { listDecisions } from '#data/decision-list';
import type { Workbench } from '#core/decision/workbench';
import { createDecision, loadWorkbench, loadWorkbenchAt } from '#data/decisions';
import { openDatabase } from '#data/open-database';
import { loadDemo } from './demo.server';

const folder = new URL('../../demo', import.meta.url).pathname;

it('the demo holds a decision with at least six candidates of different kinds over 24 months', async () => {
  const db = await openDatabase(':memory:');
  await loadDemo(db, folder);
  const saved = await loadWorkbench(db, 'larkfell-kites');
  if (!saved) throw new Error('the demo decision is expected');
  const { file, heldBack } = assembleDecisionFile(saved.workbench);
  expect(heldBack).toEqual([]);
  expect(file.months).toBe(24);
  const { result } = priceDecision(file);
  expect(result.candidates.length).toBeGreaterThanOrEqual(6);
  expect(result.cheapest).toBe('E');
  expect(file.offers.length).toBeGreaterThanOrEqual(10);
  expect(new Set(file.offers.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(8);
  const { needs = [], tasks = [], vendors = {} } = saved.workbench.decision;
  expect(needs.length).toBeGreaterThanOrEqual(14);
  expect(needs.every(({ why }) => why !== undefined)).toBe(true);
  const open = askedVendors(saved.workbench.sheets).reduce((sum, { plans }) => sum + unansweredOf(needs, plans), 0);
  expect(open).toBeGreaterThan(0);
  const measured = Object.values(vendors).flatMap(({ measurements = [] }) => measurements);
  expect(measured.map(({ requests, loadMs }) => [requests, loadMs])).toEqual([
    [28, 1640],
    [51, 3121],
    [33, 2210],
  ]);
  expect(Object.values(vendors).filter((notes) => trialResult(tasks, notes).tried > 0).length).toBeGreaterThanOrEqual(3);
  expect(saved.workbench.sheets.every(({ sheet }) => sheet.seen !== undefined)).toBe(true);
});

it('the demo is never loaded over decisions that are there', async () => {
  const db = await openDatabase(':memory:');
  const decision = { name: 'mine', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] };
  await createDecision(db, 'mine', { decision, sheets: [] }, '2026-11-03T09:00:00.000Z');
  await loadDemo(db, folder);
  expect((await listDecisions(db)).map(({ id }) => id)).toEqual(['mine']);
});

it('holds a decision of some months ago, with the verdict of then and the price of now', async () => {
  const db = await openDatabase(':memory:');
  await loadDemo(db, folder);
  const saved = await loadWorkbench(db, 'larkfell-club');
  const [verdict] = saved?.workbench.decision.verdicts ?? [];
  // Begun on Start for a year and moved up, when Full cost 456 a year; at 540 the same way costs 84 more.
  expect(verdict).toMatchObject({ on: '2026-04-27', kind: 'route', total: '2265.22', madeFrom: { revision: 2 } });
  expect(verdict?.parts.map(({ label }) => label)).toEqual(['Pellmere Start', 'Pellmere Full']);
  const before = await loadWorkbenchAt(db, 'larkfell-club', 2);
  const priceOf = (workbench: Workbench | undefined) => {
    const sheet = workbench?.sheets.find(({ sheet: { kind } }) => kind === 'offer')?.sheet;
    return sheet?.kind === 'offer' ? sheet.offer.plans[1]?.terms[1]?.price : undefined;
  };
  expect([priceOf(before?.workbench), priceOf(saved?.workbench)]).toEqual(['456', '540']);
  expect(before?.workbench.decision.actuals).toBeUndefined();
  expect(Object.keys(saved?.workbench.decision.actuals ?? {})).toHaveLength(6);
  // The decision that is looked at first was changed last.
  expect((await listDecisions(db)).map(({ id }) => id)).toEqual(['larkfell-kites', 'larkfell-club']);
});

it('loaded on another day, all dates of the demo are as far from that day', async () => {
  const db = await openDatabase(':memory:');
  await loadDemo(db, folder, '2027-12-01');
  const kites = await loadWorkbench(db, 'larkfell-kites');
  expect(kites?.workbench.decision).toMatchObject({ name: 'Where should Larkfell Kites sell from 2028?', start: '2028-02' });
  const club = await loadWorkbench(db, 'larkfell-club');
  expect(Object.keys(club?.workbench.decision.actuals ?? {}).at(-1)).toBe('2027-11');
  expect(club?.workbench.decision.verdicts?.[0]).toMatchObject({ on: '2027-04-30', total: '2265.22' });
  expect(kites?.workbench.decision.vendors?.['brindle']?.measurements?.[0]?.at).toMatch(/^2027-11-25/);
});
