import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { hasPassword, isPassword, keepPassword, passwordProblem } from './password';
import { freshPaths } from './tests/databases';

it('a password is kept as a hash that only its owner can read, and is told from every other text', async () => {
  const { password: file } = freshPaths();
  expect(hasPassword(file)).toBe(false);
  expect(await isPassword(file, '')).toBe(false);
  await keepPassword(file, 'kites über alles');
  expect((statSync(file).mode & 0o777).toString(8)).toBe('600');
  expect(readFileSync(file, 'utf8')).not.toContain('kites');
  expect(await isPassword(file, 'kites über alles')).toBe(true);
  // The same letters, put together otherwise.
  expect(await isPassword(file, 'kites u\u0308ber alles')).toBe(true);
  for (const guess of ['kites über alle', 'kites über alles ', '', 'x'.repeat(600)]) expect(await isPassword(file, guess)).toBe(false);
});

it('of a file that cannot be read nothing is the password', async () => {
  const { password: file } = freshPaths();
  writeFileSync(file, '{"salt":"","key":""}');
  expect(await isPassword(file, '')).toBe(false);
  writeFileSync(file, 'rubbish');
  expect([hasPassword(file), await isPassword(file, 'rubbish')]).toEqual([true, false]);
});

it.each([
  ['short', /at least 10/],
  ['x'.repeat(501), /at most 500/],
  ['long enough', null],
])('%s as a password: %s', (text, problem) => {
  if (problem) expect(passwordProblem(text)).toMatch(problem);
  else expect(passwordProblem(text)).toBeNull();
});
