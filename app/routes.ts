import { index, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  index('routes/home.ts'),
  route('decisions', 'routes/decisions.tsx'),
  route('decisions/import', 'routes/import.ts'),
  route('decisions/:decisionId/export', 'routes/export.ts'),
  route('decisions/:decisionId/report/:form', 'routes/report-file.ts'),
  route('decisions/:decisionId/dates.ics', 'routes/calendar.ts'),
  route('decisions/:decisionId/sheets/:sheetId/export', 'routes/export-sheet.ts'),
  route('read-source', 'routes/read-source.ts'),
  route('decisions/:decisionId/save', 'routes/save.ts'),
  route('decisions/:decisionId/step', 'routes/step.ts'),
  route('decisions/:decisionId', 'routes/workbench.tsx', [
    index('routes/workbench-home.ts'),
    route('frame', 'routes/frame.tsx'),
    route('sales', 'routes/sales.tsx'),
    route('needs', 'routes/needs.tsx', [index('routes/needs-list.tsx'), route('answers', 'routes/answers.tsx')]),
    route('sheets', 'routes/sheets.tsx', [
      index('routes/sheets-home.tsx'),
      route(':sheetId', 'routes/sheet.tsx'),
    ]),
    route('qualities', 'routes/qualities.tsx', [
      index('routes/qualities-marks.tsx'),
      route('diary', 'routes/diary.tsx'),
      route('speed', 'routes/page-speed.tsx'),
    ]),
    route('candidates', 'routes/candidates.tsx'),
    route('line-up', 'routes/line-up.tsx'),
    route('fit', 'routes/fit.tsx'),
    route('what-if', 'routes/what-if.tsx', [
      index('routes/break-even.tsx'),
      route('map', 'routes/map.tsx'),
      route('route', 'routes/route.tsx'),
      route('turns-it', 'routes/turns-it.tsx'),
      route('paying-ahead', 'routes/paying-ahead.tsx'),
      route('offers', 'routes/special-offers.tsx'),
      route('investment', 'routes/investment.tsx'),
      route('scenarios', 'routes/scenarios.tsx'),
    ]),
    route('verdict', 'routes/verdict.tsx', [
      index('routes/verdict-home.tsx'),
      route('dates', 'routes/dates.tsx'),
      route('report', 'routes/report.tsx'),
    ]),
  ]),
  route('*', 'routes/not-found.tsx'),
] satisfies RouteConfig;
