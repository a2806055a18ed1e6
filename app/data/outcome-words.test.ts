import { expect, it } from 'vitest';
import { outcomeWords } from './outcome-words';

it.each([
  [{ added: 1, there: 0, beside: 0, sheets: 12 }, '1 decision and 12 price sheets imported.'],
  [
    { added: 2, there: 1, beside: 0, sheets: 1 },
    '2 decisions and 1 price sheet imported. 1 decision was here already, exactly as in the file.',
  ],
  [
    { added: 0, there: 0, beside: 2, sheets: 0 },
    '2 decisions and 0 price sheets imported. 2 decisions of the file differ from the one here, so both are kept.',
  ],
])('says what became of an import: %j', (outcome, words) => {
  expect(outcomeWords(outcome)).toBe(words);
});
