import { describe, expect, it } from 'vitest';
import { WORKED_EXAMPLES } from '#core/worked-examples/worked-examples';
import { writerFor } from '../locale/writer';
import * as places from './places-in-words';

describe('what stands in an empty place', () => {
  it.each(Object.entries(places))('%s: a title without a full stop, whole sentences, and an example in figures', (_, place) => {
    expect(place.title).not.toMatch(/[.!]$/);
    expect(place.words).toMatch(/^[A-Z].+\.$/);
    const told = WORKED_EXAMPLES[place.example].told(writerFor('en-GB'));
    expect(told.join(' ')).toMatch(/\d/);
  });
});
