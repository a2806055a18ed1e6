import { describe, expect, it } from 'vitest';
import { readPageFiles } from './page-files';

const small = new File(['Seed 19/mo'], 'seed.html');
const large = new File([new Uint8Array(10 * 1024 * 1024 + 1)], 'all.html');

describe('files with pricing pages', () => {
  it('are read, each with its name', async () => {
    const { pages, problem } = readPageFiles([small, new File(['Grow 59/mo'], 'grow.txt')]);
    expect(problem).toBeNull();
    expect(await pages).toEqual([
      { text: 'Seed 19/mo', name: 'seed.html' },
      { text: 'Grow 59/mo', name: 'grow.txt' },
    ]);
  });

  it('one that is too large is named, and the others are read', async () => {
    const { pages, problem } = readPageFiles([large, small]);
    expect(problem).toBe('all.html is over 10 MB, and nothing was read of it. Copy the part with the prices and paste it instead.');
    expect((await pages).map(({ name }) => name)).toEqual(['seed.html']);
  });
});
