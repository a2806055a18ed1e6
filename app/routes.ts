import { index, route, type RouteConfig, type RouteConfigEntry } from '@react-router/dev/routes';
import type { PlaceLeaf } from './workbench/place-leaf';
import { MOVED_PLACES, PLACES } from './workbench/place-registry';

function leafRoutes(place: (typeof PLACES)[number]): RouteConfigEntry[] {
  if (place.path === 'sheets') return [index('routes/sheets-home.tsx'), route(':sheetId', 'routes/sheet.tsx')];
  const leaves: readonly PlaceLeaf[] = 'leaves' in place ? place.leaves : [];
  return leaves.map(({ path, module }) => (path === '' ? index(module) : route(path, module)));
}

export default [
  index('routes/home.ts'),
  route('decisions', 'routes/decisions.tsx'),
  route('watch', 'routes/watch.tsx'),
  route('watch/effects', 'routes/watch-effects.ts'),
  route('how', 'routes/how.tsx'),
  route('guide', 'routes/guide.tsx'),
  route('data', 'routes/data.tsx'),
  route('data/export', 'routes/data-export.ts'),
  route('data/import', 'routes/data-import.ts'),
  route('decisions/import', 'routes/import.ts'),
  route('decisions/:decisionId/export', 'routes/export.ts'),
  route('decisions/:decisionId/stored', 'routes/stored.ts'),
  route('decisions/:decisionId/report/:form', 'routes/report-file.ts'),
  route('decisions/:decisionId/workbook.xlsx', 'routes/workbook-file.ts'),
  route('decisions/:decisionId/line-up.csv', 'routes/table-file.ts', { id: 'line-up-table' }),
  route('decisions/:decisionId/ledger.csv', 'routes/table-file.ts', { id: 'ledger-table' }),
  route('decisions/:decisionId/dates.ics', 'routes/calendar.ts'),
  route('decisions/:decisionId/sheets/:sheetId/export', 'routes/export-sheet.ts'),
  route('read-source', 'routes/read-source.ts'),
  route('read-actuals', 'routes/read-actuals.ts'),
  route('decisions/:decisionId/save', 'routes/save.ts'),
  route('decisions/:decisionId/step', 'routes/step.ts'),
  route('decisions/:decisionId/past-orders', 'routes/past-orders-data.ts'),
  ...Object.keys(MOVED_PLACES).map((former) =>
    route(`decisions/:decisionId/${former}`, 'routes/moved-place.ts', { id: `former ${former}` }),
  ),
  route('decisions/:decisionId', 'routes/workbench.tsx', [
    index('routes/workbench-home.ts'),
    route('start', 'routes/start.tsx'),
    ...PLACES.map((place) => route(place.path, place.module, leafRoutes(place))),
  ]),
  route('*', 'routes/not-found.tsx'),
] satisfies RouteConfig;
