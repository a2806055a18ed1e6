import { pathText, type Problem } from './problems';

/** No field of a decision file lies deeper than this. */
const DEEPEST = 24;

/**
 * What makes a parsed document unfit to be looked at any closer: nesting far deeper than any field, or keys that
 * would change an object's nature instead of being a field of it. Walks without recursion, however deep it goes.
 */
export function structureProblems(document: unknown): Problem[] {
  const problems: Problem[] = [];
  const open: Array<{ value: unknown; path: readonly PropertyKey[] }> = [{ value: document, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path } = next;
    if (typeof value !== 'object' || value === null) continue;
    if (path.length > DEEPEST) {
      problems.push({ path: pathText(path), found: 'something nested', wanted: `use at most ${DEEPEST} levels of nesting` });
      continue;
    }
    for (const [key, inner] of Object.entries(value)) {
      const at = [...path, Array.isArray(value) ? Number(key) : key];
      if (key === '__proto__')
        problems.push({ path: pathText(at), found: 'a field of this name', wanted: 'a field of this name is not defined here' });
      else open.push({ value: inner, path: at });
    }
  }
  return problems;
}
