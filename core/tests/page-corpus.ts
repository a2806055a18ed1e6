import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ownTruth, type PageTruth } from './page-truth';

/** A pricing page with what it says, as it was written by hand. */
export interface PageOfCorpus {
  readonly page: string;
  readonly text: string;
  readonly truth: PageTruth;
}

const read = (file: string) => readFileSync(file, 'utf8');

/** All pages of a folder of core/price-page: "pages" are our own, "corpus" are the shared ones. */
export function pagesIn(name: 'pages' | 'corpus'): PageOfCorpus[] {
  const folder = join(import.meta.dirname, '../price-page', name);
  return readdirSync(folder).flatMap((file) => {
    const truth = /^(.*)\.truth\.(txt|json)$/.exec(file);
    if (!truth?.[1]) return [];
    const source = ['.clip.html', '.txt', '.html'].map((end) => join(folder, `${truth[1]}${end}`)).find((path) => existsSync(path));
    if (source === undefined) return [];
    const text = read(join(folder, file));
    return [{ page: truth[1], text: read(source), truth: truth[2] === 'txt' ? ownTruth(text) : (JSON.parse(text) as PageTruth) }];
  });
}
