import { expect, test } from 'vitest';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { beginAgain } from './begin-again';

test('the same vendors, needs and sales from a later month on; what was arranged, asked and noted stays behind', () => {
  const { decision, sheets } = workbenchOf(kiteDecision());
  const needs = [{ feature: 'gift-cards', level: 'must' as const }];
  const again = beginAgain(
    {
      sheets,
      decision: {
        ...decision,
        needs,
        versions: { cautious: {} },
        lineUp: { pinned: ['A'] },
        whatIf: { moving: { within: { hours: '1', money: '5' }, between: { hours: '4', money: '0' }, moves: 3 } },
        dates: {},
        actuals: {},
        verdicts: [],
      },
    },
    '2028-02',
  );
  expect(again).toEqual({ sheets, decision: { ...decision, needs, start: '2028-02' } });
});
