import { expect, it } from 'vitest';
import { coursesOf } from '#core/comparison/course';
import { priceDecision } from '#core/comparison/decision-result';
import { kiteDecision } from '#core/tests/kite-decision';
import { writerFor } from '../locale/writer';
import { courseEvents, courseSentence } from './course-words';

const write = writerFor('en-GB');
const nameOf = (id: string) => ({ A: 'Alder', B: 'Birch' })[id] ?? id;

it('the cost so far is told in a sentence, its marks one by one', () => {
  const courses = coursesOf(
    priceDecision(
      kiteDecision({
        candidates: [
          { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'y' }] },
          { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
        ],
        forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '20', orderValue: '10' }] },
      }),
    ),
    ['A', 'B'],
  );
  expect(courseSentence(courses, nameOf, write)).toBe(
    'Alder has cost least by the end; it has been ahead of all others since May 2027, when it passed Birch.',
  );
  expect(courseEvents(courses, nameOf, write)).toEqual(['Alder has cost less than Birch from May 2027.']);
});
