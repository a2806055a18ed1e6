import { expect, it } from 'vitest';
import { whileAway } from './while-away';

function failing(error: Error | Response) {
  return () =>
    Promise.resolve().then((): never => {
      if (error instanceof Response) throw error;
      throw error;
    });
}

it.each([
  ['nobody answers', new TypeError('Failed to fetch')],
  ['the server fails', new Response('', { status: 503 })],
  ['somebody was signed out', new Response('', { status: 401 })],
])('a place goes on with what is at hand while %s', async (_why, error) => {
  expect(await whileAway(failing(error), () => 'at hand')).toBe('at hand');
  await expect(whileAway(failing(error), () => null)).rejects.toBe(error);
});

it('what the server says no to is not covered up', async () => {
  const gone = new Response('', { status: 404 });
  await expect(whileAway(failing(gone), () => 'at hand')).rejects.toBe(gone);
  expect(
    await whileAway(
      () => Promise.resolve('asked'),
      () => 'at hand',
    ),
  ).toBe('asked');
});
