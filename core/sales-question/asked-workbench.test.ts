import { expect, test } from 'vitest';
import { newStream } from '../decision/edit-forecast';
import type { Workbench } from '../decision/workbench';
import { askedWorkbench } from './asked-workbench';

const EMPTY: Workbench = {
  decision: {
    name: 'Where should we sell?',
    currency: 'EUR',
    start: '2027-01',
    months: 24,
    forecast: { streams: [newStream('sales', 'Sales')] },
    candidates: [],
  },
  sheets: [],
};
const asked = (question: string) => askedWorkbench(EMPTY, question).decision;

test('a question fills what it says, and is the name of the decision', () => {
  const question = '30 courses a year at $60, is the dearer plan worth it?';
  expect(asked(question)).toEqual({
    ...EMPTY.decision,
    name: question,
    currency: 'USD',
    forecast: { streams: [{ id: 'sales', label: 'Courses', kind: 'digital', orders: '2.5', orderValue: '60' }] },
  });
});

test('a range is expected in its middle, with its ends as the cautious and the hopeful version', () => {
  const { forecast, versions } = asked('between 12 and 36 kites a year');
  expect(forecast.streams[0]).toMatchObject({ label: 'Kites', orders: '2', orderValue: '0' });
  expect(versions?.cautious?.streams?.['sales']).toEqual({ orders: '-50' });
  expect(versions?.hopeful?.streams?.['sales']).toEqual({ orders: '50' });
});

test('members are subscribers, who pay as often as it says', () => {
  expect(asked('80 members at 90 a year').forecast.streams[0]).toEqual({
    id: 'sales',
    label: 'Members',
    kind: 'subscription',
    orderValue: '90',
    subscribers: { start: '80', joins: '0', churn: '0', every: 12 },
  });
  expect(asked('80 members at 9 a month').forecast.streams[0]?.subscribers).toEqual({ start: '80', joins: '0', churn: '0' });
});

test('what says nothing of sales only names the decision; without a question all is as it was', () => {
  expect(asked('Which host?')).toEqual({ ...EMPTY.decision, name: 'Which host?' });
  expect(asked('')).toEqual(EMPTY.decision);
});
