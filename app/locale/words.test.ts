import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { isWordsModule, wordsOfSource } from '../../scripts/words-of-source.mjs';

const root = new URL('../../', import.meta.url);
const page = readFileSync(new URL('docs/words.md', root), 'utf8');
const NOT_USED = (page.split('## Not to be used')[1] ?? '').split('\n').flatMap((line) => /^- (.+)$/.exec(line)?.[1] ?? []);

/** Files with words, as they stand. */
function sources(folders: readonly string[]): Array<readonly [name: string, text: string]> {
  return folders
    .flatMap((folder) => readdirSync(new URL(folder, root), { recursive: true, encoding: 'utf8' }).map((name) => `${folder}/${name}`))
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$|^core\/tests\//.test(name))
    .map((name) => [name, readFileSync(new URL(name, root), 'utf8')] as const);
}

const read = new Map<string, ReturnType<typeof wordsOfSource>>();

/** The pieces of words of a file, which are read once for all tests. */
function piecesOf(name: string, text: string): ReturnType<typeof wordsOfSource> {
  const known = read.get(name) ?? wordsOfSource(name, text);
  read.set(name, known);
  return known;
}

/** The lines of the interface and of everything that puts words together, without comments. */
function linesWithWords(): Array<{ at: string; line: string }> {
  return sources(['app', 'core']).flatMap(([name, text]) =>
    text
      .split('\n')
      .map((line, index) => ({ at: `${name}:${index + 1}`, line }))
      .filter(({ line }) => !/^\s*(\*|\/\/|\/\*\*|\{\/\*)/.test(line)),
  );
}

/** Whether a string of the code reads as something that is said: a sentence, or several words that begin with a capital. */
function isSaid(words: string): boolean {
  if (/^[/.#]|[[\]{}]|charset|sans-serif| Variable$|\bis-/.test(words)) return false;
  return /^\p{Lu}\p{L}*,? \p{L}/u.test(words) || /\p{L}{2,},? \p{L}+,? \p{L}{2,}/u.test(words);
}

describe('the words of the interface', () => {
  it('are none of those either where a sentence goes over several lines', () => {
    const found = sources(['app', 'core/wording', 'core/explain']).flatMap(([name, text]) =>
      piecesOf(name, text).flatMap(({ line, words }) =>
        NOT_USED.filter((phrase) => words.toLowerCase().includes(phrase)).map((phrase) => `${name}:${line}: “${phrase}”`),
      ),
    );
    expect(found).toEqual([]);
  });

  it('can be read as a text: what belongs together is one piece, and names of the program are none', () => {
    const source = [
      "import { x } from 'not words at all';",
      'export const A = () => (',
      '  <p title="What it says" className="no words">',
      '    Enter {x}, and the rest',
      '    follows.',
      '  </p>',
      ');',
      "const B = { kind: 'a-name', said: 'two words' };",
      'const C = `from ${x} on`;',
    ].join('\n');
    expect(wordsOfSource('a.tsx', source)).toEqual([
      { line: 3, words: 'Enter …, and the rest follows.', isOnScreen: true },
      { line: 3, words: 'What it says', isOnScreen: true },
      { line: 8, words: 'two words', isOnScreen: false },
      { line: 9, words: 'from … on', isOnScreen: false },
    ]);
    const ofAPlace = "export const a = { sold: 'Sold', kind: (one: string) => (one === 'goods' ? 'things' : 'more') };";
    expect(wordsOfSource('app/sales/words.ts', ofAPlace).map(({ words }) => words)).toEqual(['Sold', 'things', 'more']);
  });

  it('stand together beside the screens they are on, and nowhere else', () => {
    const found = sources(['app'])
      .filter(([name]) => !isWordsModule(name) && !/^app\/(?:server|theme|motion|server\.ts|entry\.server\.tsx)\b/.test(name))
      .flatMap(([name, text]) =>
        piecesOf(name, text)
          .filter(({ words, isOnScreen }) => isOnScreen || isSaid(words))
          .map(({ line, words }) => `${name}:${line}: “${words}”`),
      );
    expect(found).toEqual([]);
  });

  it('have percent signs as English has them, right behind the figure', () => {
    const found = sources(['app', 'core/wording', 'core/explain', 'core/price-checks', 'core/worked-examples']).flatMap(([name, text]) =>
      piecesOf(name, text).flatMap(({ line, words }) => (/[\d…] %/.test(words) ? [`${name}:${line}: “${words}”`] : [])),
    );
    expect(found).toEqual([]);
  });

  it('are none of those that docs/words.md says not to use', () => {
    expect(NOT_USED.length).toBeGreaterThan(20);
    const found = linesWithWords().flatMap(({ at, line }) => {
      const words = NOT_USED.filter((phrase) => line.toLowerCase().includes(phrase));
      return words.map((phrase) => `${at}: “${phrase}”`);
    });
    expect(found).toEqual([]);
  });
});
