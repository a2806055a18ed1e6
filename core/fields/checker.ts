import { foundText, pathText, type Problem } from './problems';

/** Collects what is wrong with one document. */
export interface Checker {
  readonly problems: Problem[];
  /** Notes a problem at a path. */
  problem(path: readonly PropertyKey[], wanted: string): void;
  /** Notes a problem unless the id is one of those that exist. */
  exists(id: string, known: ReadonlySet<string>, path: readonly PropertyKey[], what: string): void;
  /** Notes a problem at every id that stands a second time. */
  unique(ids: ReadonlyArray<readonly [id: string, path: readonly PropertyKey[]]>): void;
}

/** A checker for a document; what it finds is described with what stands there. */
export function checker(document: unknown): Checker {
  const problems: Problem[] = [];
  const problem = (path: readonly PropertyKey[], wanted: string) => {
    problems.push({ path: pathText(path), found: foundText(document, path), wanted });
  };
  return {
    problems,
    problem,
    exists(id, known, path, what) {
      if (!known.has(id)) problem(path, `use the id of a ${what} in this file`);
    },
    unique(ids) {
      const seen = new Set<string>();
      for (const [id, path] of ids) {
        if (seen.has(id)) problem(path, 'use an id that is not used yet');
        seen.add(id);
      }
    },
  };
}
