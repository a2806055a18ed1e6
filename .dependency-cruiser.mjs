// The rooms of docs/architecture.md and what each may import.
const rule = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });
const tests = '\\.test\\.tsx?$';

/** The layers of the core, the lowest first: a folder knows those above it in this list, types included, and none below. */
const LAYERS = [
  ['amount', 'calendar'],
  ['fields'],
  ['rules', 'exchange-rates'],
  ['decision-file'],
  ['forecast'],
  ['decision'],
  ['wording', 'page-speed', 'sales-question'],
  ['price-phrase', 'pricing', 'qualities'],
  ['price-page'],
  ['price-sheet', 'route', 'scales'],
  ['comparison', 'needs', 'price-checks', 'sheet-import'],
  ['assembly', 'csv', 'explain', 'fit', 'replay', 'what-if', 'workbook'],
  ['chance', 'dates', 'proposals'],
  ['verdict'],
  ['afterwards', 'judgement', 'past-orders', 'price-watch'],
  ['questions'],
  ['worked-examples'],
];
const inCore = (folders) => `^core/(${folders.join('|')})/`;
const layers = LAYERS.flatMap((folders, at) => {
  const above = LAYERS.slice(at + 1).flat();
  const beside = folders.map((folder) =>
    rule(
      `core-${folder}-alone`,
      'Folders of one layer do not know each other.',
      { path: inCore([folder]), pathNot: tests },
      { path: inCore(folders), pathNot: inCore([folder]) },
    ),
  );
  if (above.length === 0) return beside;
  return [
    ...beside,
    rule(
      `core-layer-${at + 1}`,
      'A layer of the core knows only those below it.',
      { path: inCore(folders), pathNot: tests },
      { path: inCore(above) },
    ),
  ];
});

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    rule(
      'core-is-alone',
      'The core imports nothing of ours.',
      { path: '^core/', pathNot: tests },
      { path: '^(app|data|workers|world|cli|demo|scripts|bench|e2e)/' },
    ),
    rule(
      'core-is-pure',
      'The core has no interface code, no Node.js and no database.',
      { path: '^core/', pathNot: tests },
      { path: '^node:|node_modules/(react|antd|@ant-design|echarts|kysely|better-sqlite3|express)', dependencyTypesNot: ['type-only'] },
    ),
    ...layers,
    rule(
      'core-has-no-node',
      'The core runs in a browser.',
      { path: '^core/', pathNot: `${tests}|^core/tests/page-corpus\\.ts$` },
      { dependencyTypes: ['core'] },
    ),
    rule('data-knows-core', 'Data imports the core only.', { path: '^data/', pathNot: tests }, { path: '^(app|workers|world|cli)/' }),
    rule(
      'world-is-outside',
      'The made-up outside world knows nothing of ours but how the demo’s dates are moved.',
      { path: '^world/', pathNot: tests },
      { path: '^(app|core|data|workers|cli)/', pathNot: '^core/calendar/' },
    ),
    rule(
      'workers-know-core',
      'Workers and the command line import the core only.',
      { path: '^(workers|cli)/' },
      { path: '^(app|data|world)/' },
    ),
    rule(
      'data-on-the-server',
      'The application reaches data only in loaders and actions, which are taken out of the browser’s code, and in server files; elsewhere by type.',
      { path: '^app/', pathNot: ['^app/server/', '^app/routes/', '^app/(server|request-thread)\\.ts$', '\\.server\\.tsx?$', tests] },
      { path: '^data/', dependencyTypesNot: ['type-only'] },
    ),
    rule('no-circles', 'No module depends on itself.', {}, { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.react-router|^build/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: 'specify',
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
