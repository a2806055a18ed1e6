import { describe, expect, it } from 'vitest';
import { COMPARED_WORDS } from '../locale/compared-words';
import { writerFor } from '../locale/writer';
import { caveatWords } from './caveat-words';

const words = (caveats: Parameters<typeof caveatWords>[0], by: 'cost' | 'keep' = 'cost') =>
  caveatWords(caveats, (id) => (id === 'B' ? 'Birch' : '?'), writerFor('en-GB'), COMPARED_WORDS[by]);

describe('what would mislead, in words', () => {
  it('says who is best without a special offer, and when it ends', () => {
    expect(words({ otherBasis: null, offer: { candidate: 'B', ends: '2026-12-31' } })).toBe(
      'Without its special offer, which ends on 31 December 2026, Birch costs least.',
    );
    expect(words({ otherBasis: null, offer: { candidate: null, ends: null } })).toBe(
      'Without its special offer, no candidate can be chosen.',
    );
  });

  it('says who is best with payments counted the other way', () => {
    expect(words({ otherBasis: { basis: 'spread', candidate: 'B', by: '30.00' }, offer: null })).toBe(
      'With payments spread over the months they cover, Birch costs least: 30 less.',
    );
    expect(words({ otherBasis: { basis: 'paid', candidate: 'B', by: '30.00' }, offer: null }, 'keep')).toBe(
      'With payments counted when they are made, Birch leaves you most: 30 more.',
    );
  });

  it('says nothing where nothing misleads', () => {
    expect(words({ otherBasis: null, offer: null })).toBe('');
  });
});
