import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { takeApart } from '../decision/take-apart';
import type { OfferSheet, PriceSheet } from '../decision/price-sheet';
import { readDecisionFile } from '../decision-file/read';
import { withPoint } from '../price-phrase/price-sentence';
import { readPhrase, statementsOf } from '../price-phrase/read-phrase';
import { applyStatements } from './apply-statements';
import { nextState, statesOf, withCellState } from './cell-state';
import { gridCell } from './grid-cell';
import { gridRows, rowOf } from './grid-rows';
import { sentencesOf } from './part-sentences';
import { columnsOf, withPart } from './parts';
import { readCell, withCell } from './read-cell';
import type { CellWriter } from './rows/row-rule';
import { typedSheet } from '../tests/typed-sheet';

const write: CellWriter = { money: (amount) => decimal(amount).toFixed(2), number: (text) => text, phrase: withPoint };
let next = 0;
const context = { known: ['staff', 'contacts'], newId: () => `n${next++}` };
const folder = new URL('../cases/', import.meta.url);
const sheets = readdirSync(folder)
  .filter((name) => /^\d\d-.*\.json$/.test(name) && !name.endsWith('.result.json'))
  .flatMap((name) => {
    const {
      route: _route,
      propose: _propose,
      ...document
    } = JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as Record<string, unknown>;
    return takeApart(readDecisionFile(document), () => name).sheets.map(({ sheet }) => [name, sheet] as const);
  });

/** The parts with every default filled in and every figure in its plainest form. */
function plain(sheet: PriceSheet) {
  const fill = (charge: object) => ({ bucket: 'transaction', on: 'orders', ...charge });
  const parts = columnsOf(sheet).map((part) => ({
    ...part,
    charges: part.charges?.map(fill) ?? [],
    limits: part.limits ?? {},
    features: part.features ?? {},
    once: part.once ?? [],
  }));
  return JSON.parse(JSON.stringify(parts), (_key, value: unknown) =>
    typeof value === 'string' && /^\d+\.\d+$/.test(value) ? decimal(value).toFixed() : value,
  ) as unknown;
}

describe('the grid of a price sheet', () => {
  it.each(sheets)('%s: what a cell is edited with is read as what it says', (_name, sheet) => {
    for (const part of columnsOf(sheet))
      for (const row of gridRows(sheet)) {
        const cell = gridCell(sheet, part, row, write);
        const reading = readCell(row, cell.edit, context.known);
        if (reading.kind === 'open') throw new Error(`${row.title}: ${cell.edit}`);
        if (cell.state === 'empty') expect(reading).toEqual({ kind: 'state', state: 'empty' });
        else expect(plain(withCell(sheet, part, row, reading, 'all', context).sheet), `${row.title}: ${cell.edit}`).toEqual(plain(sheet));
      }
  });

  it('has the usual rows before anything is stated, and those that somebody asked for', () => {
    const titles = (sheet: PriceSheet) =>
      gridRows(sheet, [
        { kind: 'limit', quantity: 'staff' },
        { kind: 'term', months: 36 },
      ]).map(({ title }) => title);
    expect(titles(typedSheet('Oakum', { Basic: '' }))).toEqual([
      'By the month',
      'By the year',
      'Every 3 years',
      'Card fee',
      'Sales fee',
      'Staff',
    ]);
    expect(titles({ kind: 'processor', processor: { id: 'p', label: 'P', currency: 'EUR' } })).toEqual(['Card fee']);
  });

  it('keeps an introductory price when only the figure is typed, and drops it when all is', () => {
    const sheet = typedSheet('Oakum', { Basic: '9/mo, 1 for the first month' });
    const [part] = columnsOf(sheet);
    const row = rowOf({ kind: 'term', months: 1 });
    const reading = readCell(row, '11', []);
    if (!part || reading.kind === 'open') throw new Error('a reading is wanted');
    const termAfter = (replaces: 'all' | 'figure') =>
      (withCell(sheet, part, row, reading, replaces, context).sheet as OfferSheet).offer.plans[0]?.terms[0];
    expect(termAfter('figure')).toMatchObject({ price: '11', intro: { price: '1' } });
    expect(termAfter('all')).not.toHaveProperty('intro');
  });

  it('asks about what can be read two ways, and says what is not understood', () => {
    expect(readCell(rowOf({ kind: 'term', months: 1 }), '-5', [])).toMatchObject({ kind: 'open', clauses: [{ kind: 'not-understood' }] });
    expect(readCell(rowOf({ kind: 'term', months: 1 }), '1,200', [])).toMatchObject({ kind: 'open', clauses: [{ kind: 'asked' }] });
    expect(readCell(rowOf({ kind: 'term', months: 1 }), 'a lot', [])).toMatchObject({
      kind: 'open',
      clauses: [{ kind: 'not-understood' }],
    });
  });
});

describe('not known, nothing, no limit, not offered', () => {
  const sheet = typedSheet('Oakum', { Basic: '9/mo, up to 5 seats, languages: 3, card fee: 2 % + 0.20' });
  const rows = gridRows(sheet);

  it('are four visible states that one key goes through, and the figure is gone after the first', () => {
    const row = rowOf({ kind: 'limit', quantity: 'staff' });
    const [part] = columnsOf(sheet);
    if (!part) throw new Error('a plan is wanted');
    const seen: string[] = [];
    let changed: PriceSheet = sheet;
    for (let press = 0; press < 6; press++) {
      const cell = gridCell(changed, columnsOf(changed)[0] ?? part, row, write);
      seen.push(cell.text);
      changed = withCellState(changed, part.id, row, nextState(row, cell.state), context.newId);
    }
    expect(seen).toEqual(['5', 'not known', 'nothing', 'no limit', 'not offered', '']);
  });

  it('each row shows every state it can have, and typing its words gives the same', () => {
    for (const row of rows)
      for (const state of statesOf(row)) {
        const [part] = columnsOf(sheet);
        if (!part) throw new Error('a plan is wanted');
        const changed = withCellState(sheet, part.id, row, state, context.newId);
        const [after] = columnsOf(changed);
        const cell = after && gridCell(changed, after, row, write);
        expect(cell?.state, row.title).toBe(state === 'none' && row.kind.kind === 'feature' ? 'none' : state);
        expect(readCell(row, cell?.edit ?? '', []).kind, `${row.title} ${state} ${cell?.edit}`).not.toBe('open');
      }
  });
});

describe('all that a part states, in sentences', () => {
  it.each(sheets)('%s: typed into an empty part they give the same part', (_name, sheet) => {
    for (const part of columnsOf(sheet)) {
      const empty = withPart(sheet, part.id, ({ id, label, currency }) => ({ id, label, currency }));
      // Each term by itself: of several terms of one length the last one typed is the one that counts.
      const lengths = (part.terms ?? []).map(({ months }) => months);
      if (new Set(lengths).size < lengths.length) continue;
      const statements = sentencesOf(part, withPoint).flatMap((sentence) => statementsOf(readPhrase(sentence)));
      const { sheet: typed, problems } = applyStatements(empty, part.id, statements, { ...context, known: [] });
      expect(problems).toEqual([]);
      const again = columnsOf(typed).find(({ id }) => id === part.id);
      expect(again && sentencesOf(again, withPoint).sort()).toEqual(sentencesOf(part, withPoint).sort());
    }
  });
});
