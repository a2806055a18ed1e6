import type { core } from 'zod';

/** One thing wrong with a document: where, what was found, what is wanted. */
export interface Problem {
  /** Path in the document, such as `offers[1].plans[0].charges[2].bands[1].upTo`; empty for the document itself. */
  path: string;
  /** What was found there, shortened. */
  found: string;
  /** What is wanted instead, in a sentence. */
  wanted: string;
}

/** A document was refused; nothing was computed from it. */
export class RefusedFileError extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map((problem) => describeProblem(problem)).join('\n'));
    this.name = 'RefusedFileError';
  }
}

/** One line for a person: path, finding and what is wanted. */
export function describeProblem({ path, found, wanted }: Problem): string {
  return `${path === '' ? 'document' : path}: found ${found}; ${wanted}`;
}

/**
 * Writes a path as it stands in the document.
 *
 * @example pathText(['offers', 1, 'plans', 0]) // 'offers[1].plans[0]'
 */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, key) => {
    if (typeof key === 'number') return `${text}[${key}]`;
    return text === '' ? String(key) : `${text}.${String(key)}`;
  }, '');
}

/** What stands at a path, shortened for a message. */
export function foundText(document: unknown, path: readonly PropertyKey[]): string {
  let value: unknown = document;
  for (const key of path) {
    if (typeof value !== 'object' || value === null || !Object.hasOwn(value, key)) return 'nothing';
    value = (value as Record<PropertyKey, unknown>)[key];
  }
  return valueText(value);
}

function valueText(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object' && value !== null) return 'an object';
  const text = typeof value === 'number' ? String(value) : (JSON.stringify(value) ?? typeof value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}

/** Turns the schema's issues into problems; of a choice between shapes, the one that comes closest speaks. */
export function problemsOf(document: unknown, issues: readonly core.$ZodIssue[]): Problem[] {
  return issues
    .flatMap((issue) => flatten(issue, issue.path))
    .map(({ path, wanted }) => ({
      path: pathText(path),
      found: foundText(document, path),
      wanted,
    }));
}

interface Located {
  path: PropertyKey[];
  wanted: string;
}

function flatten(issue: core.$ZodIssue, path: PropertyKey[]): Located[] {
  if (issue.code === 'unrecognized_keys')
    return issue.keys.map((key) => ({ path: [...path, key], wanted: 'a field of this name is not defined here' }));
  if (issue.code === 'invalid_key') return [{ path, wanted: issue.issues[0]?.message ?? 'use another name' }];
  if (issue.code !== 'invalid_union' || issue.errors.length === 0) return [{ path, wanted: wantedBy(issue) }];
  const depth = (issues: readonly core.$ZodIssue[]) => Math.max(...issues.map((inner) => inner.path.length), 0);
  const closest = [...issue.errors].sort((a, b) => depth(b) - depth(a) || a.length - b.length)[0] ?? [];
  // Where no shape comes any closer than the others, the choice itself says best what is wanted.
  if (depth(closest) === 0 && !issue.message.startsWith('Invalid')) return [{ path, wanted: issue.message }];
  return closest.flatMap((inner) => flatten(inner, [...path, ...inner.path]));
}

/** What an issue asks for; where the schema has no words of its own for it, from the issue itself. */
function wantedBy(issue: core.$ZodIssue): string {
  if (issue.code === 'invalid_type' && issue.message.startsWith('Invalid input')) return `use ${KINDS[issue.expected] ?? issue.expected}`;
  if (issue.code === 'invalid_value' && issue.message.startsWith('Invalid'))
    return `use ${issue.values.map((value) => JSON.stringify(value)).join(' or ')}`;
  return issue.message.startsWith('Invalid') ? 'use something else' : issue.message;
}

const KINDS: Partial<Record<string, string>> = {
  object: 'an object',
  record: 'an object',
  array: 'a list',
  tuple: 'a list of two',
  string: 'a text',
  boolean: 'true or false',
  number: 'a number',
};
