import { expect, it } from 'vitest';
import { smallDecision } from '#core/tests/small-decision';
import { typedSheet } from '#core/tests/typed-sheet';
import { writerFor } from '../locale/writer';
import { moveWords, wayWords } from './way-ahead';

it('says with what to begin, and when to move where', () => {
  const sheet = typedSheet('Tidewrack', { Small: '10/mo', Plus: '30/mo' });
  const [small, plus] = sheet.kind === 'offer' ? sheet.offer.plans : [];
  const made = (plan: typeof small) => ({ plans: [{ plan: plan?.id ?? '', term: plan?.terms[0]?.id ?? '' }] });
  const workbench = { decision: smallDecision(), sheets: [{ id: 's', revision: 1, sheet }] };
  const segments = [
    { offer: 'tidewrack', made: made(small), from: '2027-01', months: 2 },
    { offer: 'tidewrack', made: made(plus), from: '2027-03', months: 10 },
  ];
  expect(wayWords(workbench, { segments }, writerFor('en-GB'))).toBe(
    'Begin on Tidewrack Small, by the month; move to Tidewrack Plus, by the month, in March 2027.',
  );
  const write = writerFor('en-GB');
  expect(moveWords(workbench, { segments }, write)).toBe('with a move to Tidewrack Plus in March 2027');
  expect(moveWords(workbench, { segments }, write, small?.id)).toBe('with a move to Tidewrack Plus in March 2027');
  expect(moveWords(workbench, { segments }, write, plus?.id)).toBe('begun on Tidewrack Small, moved in March 2027');
  expect(moveWords(workbench, { segments: [...segments, ...segments] }, write)).toBe('with 3 moves, the first in March 2027');
  expect(moveWords(workbench, { segments: segments.slice(0, 1) }, write)).toBe('without a move');
});
