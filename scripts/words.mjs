// npm run --silent words [-- PLACE]: all words of the interface as a text, place by place, to be read aloud.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';
import { isWordsModule, wordsOfSource } from './words-of-source.mjs';

const [place = ''] = process.argv.slice(2);
const files = ['app', 'core/wording', 'core/explain', 'core/worked-examples']
  .flatMap((folder) => readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).map((name) => `${folder}/${name}`))
  .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name) && name.includes(place))
  .filter((name) => !name.startsWith('app/') || isWordsModule(name))
  .sort();
let last = '';
for (const name of files) {
  const words = wordsOfSource(name, readFileSync(join(root, name), 'utf8'));
  if (words.length === 0) continue;
  const folder = name.split('/').slice(0, -1).join('/');
  if (folder !== last) process.stdout.write(`\n# ${folder}\n`);
  last = folder;
  process.stdout.write(`\n## ${name}\n\n`);
  for (const { line, words: text } of words) process.stdout.write(`${String(line).padStart(4)}  ${text}\n`);
}
