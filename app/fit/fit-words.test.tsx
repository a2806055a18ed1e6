import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { FitSentence, Stability, Turning } from './fit-words';
import { shareWords } from './fit-table';
import type { Weighed } from './use-fit';

const weighed = (candidate: string, fit: number, total: string, more: Partial<Weighed> = {}): Weighed => ({
  candidate,
  label: `Plan ${candidate}`,
  fit,
  most: fit,
  parts: [],
  total,
  atLeast: false,
  isUsable: true,
  isUnbeaten: false,
  ...more,
});
const text = (element: React.ReactElement) => renderToStaticMarkup(element).replace(/<[^>]+>/g, '');

describe('the sentence above the chart', () => {
  it('says which fits best, which costs least, and that they are two', () => {
    const all = [
      weighed('F', 81.2, '10344', { most: 84, isUnbeaten: true }),
      weighed('A', 72, '7050', { isUnbeaten: true }),
      weighed('G', 50, '9000'),
    ];
    expect(text(<FitSentence weighed={all} />)).toBe(
      'Plan F fits best, at least 81 of 100. The cheapest, Plan A, fits 72, at 7,050 against 10,344. Two of them have no rival that is both cheaper and a better fit: choosing between those depends on what fit is worth to you.',
    );
  });

  it('says so where one is both', () => {
    expect(text(<FitSentence weighed={[weighed('A', 72, '7050', { isUnbeaten: true }), weighed('G', 50, '9000')]} />)).toBe(
      'Plan A fits best, 72 of 100, and costs least: nothing beats it on either. ',
    );
  });

  it('says so where two fit equally well, or none can be chosen', () => {
    expect(text(<FitSentence weighed={[weighed('A', 60, '7050'), weighed('B', 60.01, '8000')]} />)).toContain(
      'Plan A and Plan B fit equally well, 60 of 100',
    );
    const alike = [weighed('A', 60, '7050', { label: 'School' }), weighed('C', 60, '8000', { label: 'School' })];
    expect(text(<FitSentence weighed={alike} />)).toContain('A School and C School fit equally well');
    expect(text(<FitSentence weighed={[weighed('A', 60, '7050', { isUsable: false })]} />)).toBe(
      'No candidate can be chosen as it is, so none comes first.',
    );
  });

  it('does not call the cheapest what rests on a price that is not known', () => {
    expect(text(<FitSentence weighed={[weighed('A', 72, '7050'), weighed('B', 60, '5000', { atLeast: true })]} />)).not.toContain(
      'The cheapest, Plan B',
    );
  });
});

describe('how stable it is', () => {
  it('is said in counts of a hundred, with a word on what that means', () => {
    const places = [
      ['F', 0.803],
      ['A', 0.19],
      ['B', 0.007],
      ['C', 0],
    ].map(([candidate, share]) => ({ candidate: String(candidate), label: `Plan ${candidate}`, share: Number(share) }));
    expect(text(<Stability places={places} isBehind={false} />)).toContain(
      'Plan F fits best in 80 of 100; Plan A in 19, Plan B in less than 1. Most weights lead there, not all.',
    );
    expect(text(<Stability places={[{ candidate: 'A', label: 'A', share: 1 }]} isBehind={false} />)).toContain(
      'The weights hardly matter.',
    );
    expect(
      text(
        <Stability
          places={[
            { candidate: 'A', label: 'A', share: 0.5 },
            { candidate: 'B', label: 'B', share: 0.5 },
          ]}
          isBehind={false}
        />,
      ),
    ).toContain('It depends on what you weigh how.');
    expect(text(<Stability places={[]} isBehind />)).toContain('Nothing is weighed yet.');
    expect([0, 0.004, 0.5, 0.996, 1].map(shareWords)).toEqual(['0', 'less than 1', '50', 'more than 99', '100']);
  });
});

describe('the weight that turns it', () => {
  it('names the criterion, from where to where, and who leads then', () => {
    const turning = [
      { key: 'a', label: 'Ease', from: 4, to: 5.25, winner: 'A', winnerLabel: 'Plan A' },
      { key: 'b', label: 'Video', from: 2, to: 0.5, winner: 'B', winnerLabel: 'Plan B' },
    ];
    expect(text(<Turning turning={turning} />)).toBe(
      'Which weight turns itEase: 4 → above 5.3, and Plan A fits bestVideo: 2 → below 0.5, and Plan B fits best',
    );
    expect(text(<Turning turning={[]} />)).toContain('No single weight');
  });
});
