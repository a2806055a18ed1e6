import { describe, expect, it } from 'vitest';
import { assembleDecisionFile } from '../assembly/assemble';
import { decisionSchema } from './decision-schema';
import { smallDecision } from '../tests/small-decision';
import { USUAL_MOVING } from '../route/moving-costs';
import { whatIfSchema } from './what-if-schema';

const whatIf = {
  moving: USUAL_MOVING,
  ranges: { 'orders:kites': ['-40', '60'] },
  scenarios: [
    {
      id: 's',
      name: 'A bad year',
      changes: [
        { key: 'orders', value: '-25' },
        { key: 'price:grow term y', value: '3' },
      ],
      offersOff: ['grow m'],
    },
  ],
};

describe('what is kept of what was asked', () => {
  it('is kept with the decision, and is no part of the decision file', () => {
    const decision = decisionSchema.parse({ ...smallDecision(), whatIf, lineUp: { baseline: 'A', pinned: ['B'], order: ['B', 'A'] } });
    expect(decision.whatIf).toMatchObject(whatIf);
    const { file } = assembleDecisionFile({ decision, sheets: [] });
    expect(file).not.toHaveProperty('whatIf');
    expect(file).not.toHaveProperty('lineUp');
  });

  it.each<[string, object, string]>([
    [
      'an assumption of no kind',
      { scenarios: [{ id: 's', name: 's', changes: [{ key: 'Orders!', value: '1' }] }] },
      'use an assumption such as orders:kites',
    ],
    [
      'a value that is none',
      { scenarios: [{ id: 's', name: 's', changes: [{ key: 'orders', value: 'many' }] }] },
      'use a decimal such as "29.00"',
    ],
    ['half a range', { ranges: { orders: ['1'] } }, 'expected'],
    ['moves without number', { moving: { ...USUAL_MOVING, moves: 1.5 } }, 'use a whole number from 0 to 120'],
    ['hours below nothing', { moving: { ...USUAL_MOVING, within: { hours: '-1', money: '0' } } }, 'use a decimal of 0 or more'],
    [
      'an investment that takes more than everything',
      {
        investment: {
          instead: 'A',
          on: 'A',
          build: '0',
          photographs: '0',
          texts: '0',
          upkeep: '0',
          hours: { setup: '0', monthly: '0' },
          lift: { cautious: '-101', expected: '0', hopeful: '0' },
        },
      },
      'use a decimal of -100 or more',
    ],
  ])('is refused with %s', (_name, document, problem) => {
    const read = whatIfSchema.safeParse(document);
    expect(read.success).toBe(false);
    expect(JSON.stringify(read.error?.issues)).toContain(JSON.stringify(problem).slice(1, -1));
  });
});
