import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import type { Workbench } from '../decision/workbench';
import { readDecisionFile } from '../decision-file/read';
import { chargeWords, statementSentence, withPoint } from '../price-phrase/price-sentence';
import { columnsOf, partsOf } from './parts';
import { typedProcessor, typedSheet } from '../tests/typed-sheet';
import { QUANTITIES, type Structure, type StructureCandidate, STRUCTURES } from '../tests/price-structures';

const known = Object.keys(QUANTITIES);

function workbenchOf({ plans, addons = {}, processor, answers = [], currency = 'EUR', months = 12, candidates }: Structure): Workbench {
  const sheet = typedSheet('Vendor', plans, { currency, answers, known, addons });
  const parts = partsOf(sheet);
  const taken = (name: string) => {
    const [, label = '', length = ''] = /^(.*) (\d+)$/.exec(name) ?? [];
    const part = parts.find((one) => one.label === label);
    const term = part?.terms?.find((one) => one.months === Number(length));
    if (!part || !term) throw new Error(`${name} is not on the sheet`);
    return { part: part.id, term: term.id };
  };
  const candidate = ({ takes, addons: taking = [], extras, isOutside }: StructureCandidate, index: number) => ({
    id: String.fromCharCode(65 + index),
    label: takes.join(' + '),
    plans: takes.map(taken).map(({ part, term }) => ({ plan: part, term })),
    ...(taking.length > 0 ? { addons: taking.map(taken).map(({ part, term }) => ({ addon: part, term })) } : {}),
    ...(extras ? { extras } : {}),
    ...(isOutside ? { payments: 'processor-processor' } : {}),
  });
  return {
    decision: {
      name: 'A structure',
      currency: 'EUR',
      start: '2027-01',
      months,
      rates: { USD: '0.9' },
      forecast: { streams: [{ id: 'goods', label: 'Goods', kind: 'goods', orders: '250', orderValue: '8' }], drivers: QUANTITIES },
      candidates: candidates.map(candidate),
    },
    sheets: [
      { id: 'vendor', revision: 1, sheet },
      ...(processor === undefined ? [] : [{ id: 'processor', revision: 1, sheet: typedProcessor('Processor', processor, { known }) }]),
    ],
  };
}

describe('price structures', () => {
  it('are all 59 there, each once', () => {
    expect(STRUCTURES.map(({ number }) => number)).toEqual(Array.from({ length: 59 }, (_, index) => index + 1));
  });

  it.each(STRUCTURES)('$number $name: typed as its page says it, it comes to what it must', (structure) => {
    const { file, heldBack } = assembleDecisionFile(workbenchOf(structure));
    expect(heldBack).toEqual([]);
    const { candidates } = priceDecision(readDecisionFile(file)).result;
    expect(candidates.map(({ total, outgrown, unknown }) => ({ total, outgrown: outgrown?.limit, isAtLeast: unknown.length > 0 }))).toEqual(
      structure.candidates.map(({ total, outgrown, isAtLeast = false }) => ({ total: total.toFixed(2), outgrown, isAtLeast })),
    );
  });

  it.each(STRUCTURES)('$number $name: can be explained in a sentence for each figure', (structure) => {
    for (const { sheet } of workbenchOf(structure).sheets)
      for (const part of columnsOf(sheet)) {
        for (const { id: _id, ...term } of part.terms ?? [])
          expect(statementSentence({ kind: 'term', term }, withPoint)).toMatch(/(by the|once|every)/);
        for (const charge of part.charges ?? [])
          expect(chargeWords(charge, withPoint)).toMatch(/per order|per unit|per started|% of sales|at (its own|the) price/);
      }
  });
});
