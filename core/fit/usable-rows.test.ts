import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import type { Workbench } from '../decision/workbench';
import { judge } from '../judgement/work-out';
import { decisionProposals } from '../proposals/decision-proposals';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { fitTable } from './criteria';
import { usableRows } from './usable-rows';

describe('who can come first', () => {
  const sheet = typedSheet('Tidewrack', {
    Small: '10/mo, gift cards: no, video: yes',
    Plus: '34/mo, gift cards: yes, video: no',
    Narrow: '5/mo, gift cards: yes, video: yes, 1 seat',
  });
  const plans = sheet.kind === 'offer' ? sheet.offer.plans : [];
  const workbench: Workbench = {
    decision: smallDecision({
      needs: [
        { feature: 'gift-cards', level: 'must' },
        { feature: 'video', level: 'want', weight: '2' },
      ],
      forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: '1', orderValue: '10' }], drivers: { staff: '2' } },
      candidates: plans.map(({ id, label, terms }, at) => ({
        id: 'ABC'.charAt(at),
        label,
        plans: [{ plan: id, term: terms[0]?.id ?? '' }],
      })),
    }),
    sheets: [{ id: 's', revision: 1, sheet }],
  };
  const { file } = assembleDecisionFile(workbench);
  const table = fitTable(workbench, file);

  it('is only who can be chosen: not who lacks a must, nor who is outgrown', () => {
    expect(table.rows.map(({ candidate, points }) => [candidate, ...points])).toEqual([
      ['A', 100],
      ['B', 0],
      ['C', 100],
    ]);
    expect(usableRows(table, priceDecision(file)).rows.map(({ candidate }) => candidate)).toEqual(['B']);
    expect(judge(workbench, decisionProposals(workbench)).firstPlaces).toEqual([{ candidate: 'B', label: 'Plus', share: 1 }]);
  });
});
