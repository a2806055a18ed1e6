import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const root = new URL('../../', import.meta.url);
const page = readFileSync(new URL('docs/words.md', root), 'utf8');
const NOT_USED = (page.split('## Not to be used')[1] ?? '').split('\n').flatMap((line) => /^- (.+)$/.exec(line)?.[1] ?? []);

/** The lines of the interface and of everything that puts words together, without comments. */
function linesWithWords(): Array<{ at: string; line: string }> {
  const files = ['app', 'core'].flatMap((folder) =>
    readdirSync(new URL(folder, root), { recursive: true, encoding: 'utf8' }).map((name) => `${folder}/${name}`),
  );
  return files
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$|^core\/tests\//.test(name))
    .flatMap((name) =>
      readFileSync(new URL(name, root), 'utf8')
        .split('\n')
        .map((line, index) => ({ at: `${name}:${index + 1}`, line }))
        .filter(({ line }) => !/^\s*(\*|\/\/|\/\*\*|\{\/\*)/.test(line)),
    );
}

describe('the words of the interface', () => {
  it('are none of those that docs/words.md says not to use', () => {
    expect(NOT_USED.length).toBeGreaterThan(20);
    const found = linesWithWords().flatMap(({ at, line }) => {
      const words = NOT_USED.filter((phrase) => line.toLowerCase().includes(phrase));
      return words.map((phrase) => `${at}: “${phrase}”`);
    });
    expect(found).toEqual([]);
  });
});
