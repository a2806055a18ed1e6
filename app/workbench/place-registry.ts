import { WHAT_IFS } from '../what-if/kinds';
import type { PlaceLeaf } from './place-leaf';
import { placeRegistry as words } from './words/place-registry';

interface RegisteredPlace {
  readonly path: string;
  readonly name: string;
  readonly module: `routes/${string}`;
  readonly leaves?: readonly PlaceLeaf[];
}

/**
 * Every place of the workbench, in the order in which people mostly go through them: its address, its name and the module
 * that shows it. Routes, the row of places and the tabs of their leaves are made from this; what a place says of itself
 * in the row stands in `places.ts`, where the compiler asks for it.
 */
export const PLACES = [
  { path: 'frame', name: 'Basics', module: 'routes/frame.tsx' },
  {
    path: 'sales',
    name: words.expectedSales,
    module: 'routes/sales.tsx',
    leaves: [
      { path: '', name: words.whatYouExpect, module: 'routes/expected-sales.tsx' },
      { path: 'past-orders', name: words.pastOrders, module: 'routes/past-orders.tsx' },
    ],
  },
  {
    path: 'needs',
    name: 'Needs',
    module: 'routes/needs.tsx',
    leaves: [
      { path: '', name: words.whatYouNeed, module: 'routes/needs-list.tsx' },
      { path: 'answers', name: words.whatEachPlanOffers, module: 'routes/answers.tsx' },
      { path: 'qualities', name: words.beyondPrice, module: 'routes/qualities-marks.tsx' },
      { path: 'diary', name: words.trialDiary, module: 'routes/diary.tsx' },
      { path: 'speed', name: words.pageSpeed, module: 'routes/page-speed.tsx' },
    ],
  },
  { path: 'sheets', name: words.priceSheets, module: 'routes/sheets.tsx' },
  {
    path: 'line-up',
    name: 'Comparison',
    module: 'routes/line-up.tsx',
    leaves: [
      { path: '', name: words.sideBySide, module: 'routes/side-by-side.tsx' },
      { path: 'candidates', name: 'Candidates', module: 'routes/candidates.tsx' },
      { path: 'fit', name: words.fitAndCost, module: 'routes/fit.tsx' },
    ],
  },
  {
    path: 'what-if',
    name: words.whatIf,
    module: 'routes/what-if.tsx',
    leaves: WHAT_IFS,
  },
  {
    path: 'verdict',
    name: 'Verdict',
    module: 'routes/verdict.tsx',
    leaves: [
      { path: '', name: 'Verdict', module: 'routes/verdict-home.tsx' },
      { path: 'dates', name: 'Dates', module: 'routes/dates.tsx' },
      { path: 'report', name: words.reportAndFiles, module: 'routes/report.tsx' },
      { path: 'afterwards', name: 'Afterwards', module: 'routes/afterwards.tsx' },
    ],
  },
] as const satisfies readonly RegisteredPlace[];

export type PlacePath = (typeof PLACES)[number]['path'];

/** The places that have leaves. */
export type LeafyPlace = Extract<(typeof PLACES)[number], { readonly leaves: readonly PlaceLeaf[] }>['path'];

/** Where what used to be a place of its own now stands, by its former address. */
export const MOVED_PLACES: Readonly<Record<string, string>> = {
  candidates: 'line-up/candidates',
  fit: 'line-up/fit',
  qualities: 'needs/qualities',
  'qualities/diary': 'needs/diary',
  'qualities/speed': 'needs/speed',
};

/** The name of a place with its leaves. */
export function leavesOf(path: LeafyPlace): { readonly name: string; readonly leaves: readonly PlaceLeaf[] } {
  const place = PLACES.find((one) => one.path === path);
  return { name: place?.name ?? path, leaves: place && 'leaves' in place ? place.leaves : [] };
}
