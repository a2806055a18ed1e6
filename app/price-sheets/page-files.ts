import { pageFiles as words } from './words/page-files';

/** In bytes. */
const LARGEST_FILE = 10 * 1024 * 1024;

/** A saved page with the name of its file. */
export interface PageFile {
  readonly text: string;
  readonly name: string;
}

/** Files that somebody chose or dropped: the texts of those that can be read, and what to do about one that is too large. */
export function readPageFiles(files: readonly File[]): { readonly pages: Promise<PageFile[]>; readonly problem: string | null } {
  const large = files.find(({ size }) => size > LARGEST_FILE);
  const small = files.filter(({ size }) => size <= LARGEST_FILE);
  return {
    pages: Promise.all(small.map(async (file) => ({ text: await file.text(), name: file.name }))),
    problem: large ? words.isOver10Mb(large.name) : null,
  };
}
