import type { Problem } from '../fields/problems';
import { foundText, pathText } from '../fields/problems';

/**
 * The fields that only a file of version 2 has (decision file, ② and ③), as paths in which `*` stands for every member
 * of a list.
 */
const SINCE_VERSION_2 = [
  'forecast.streams.*.orderSizes',
  'needs.*.from',
  'offers.*.hours',
  'offers.*.extras',
  'offers.*.lift',
  'offers.*.plans.*.yearlyLimits',
  'candidates.*.plans.*.extraMonths',
  'candidates.*.plans.*.streams',
  'candidates.*.plans.*.takesPayments',
  'candidates.*.lift.percent',
  'breakEven.by',
  'cheapestAt.by',
  'route.by',
  'route.loses',
  'propose.ways',
  ...['offers.*.plans.*', 'offers.*.addons.*', 'addons.*'].flatMap((part) => [
    `${part}.terms.*.intro.until`,
    `${part}.terms.*.changes`,
    `${part}.terms.*.renewal`,
  ]),
  ...['offers.*.plans.*', 'offers.*.addons.*', 'addons.*', 'processors.*'].flatMap((part) => [
    `${part}.charges.*.against`,
    `${part}.charges.*.from`,
    `${part}.charges.*.until`,
  ]),
];

/** Kinds of charge that only a file of version 2 has. */
const KINDS_SINCE_VERSION_2: readonly string[] = ['prepaid'];
const KIND_PATHS = ['offers.*.plans.*', 'offers.*.addons.*', 'addons.*', 'processors.*'].map((part) => `${part}.charges.*.how`);

/** What a document of version 1 has that only version 2 knows. */
export function versionProblems(document: unknown): Problem[] {
  const found = (path: string) => placesOf(document, path.split('.'), []);
  const fields = SINCE_VERSION_2.flatMap(found);
  const kinds = KIND_PATHS.flatMap(found).filter(({ value }) => KINDS_SINCE_VERSION_2.includes(value as string));
  return [...fields, ...kinds].map(({ path }) => ({
    path: pathText(path),
    found: foundText(document, path),
    wanted: 'use "version": 2 for a file that has this',
  }));
}

interface Place {
  readonly path: readonly PropertyKey[];
  readonly value: unknown;
}

function placesOf(value: unknown, [step, ...rest]: readonly string[], path: readonly PropertyKey[]): Place[] {
  if (step === undefined) return value === undefined ? [] : [{ path, value }];
  if (step === '*') return Array.isArray(value) ? value.flatMap((inner, index) => placesOf(inner, rest, [...path, index])) : [];
  if (typeof value !== 'object' || value === null || !Object.hasOwn(value, step)) return [];
  return placesOf((value as Record<string, unknown>)[step], rest, [...path, step]);
}
