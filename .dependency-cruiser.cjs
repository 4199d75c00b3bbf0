// The rooms of the house and which doors they have: docs/decisions/0001-rooms.md.
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: '^(app|src|server|demo|scripts|e2e|benchmarks)/', pathNot: [from, ...allowed] },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    only('core-stands-alone', '^src/core/(?!.*\\.test\\.)', ['^src/core/']),
    only('core-tests', '^src/core/.*\\.test\\.ts$', ['^src/(core|testing)/']),
    only('records-on-core', '^src/records/(?!.*\\.test\\.)', ['^src/core/']),
    only('record-tests', '^src/records/.*\\.test\\.tsx?$', ['^src/(core|records|testing)/']),
    only('worker-on-records', '^src/worker/(?!.*\\.test\\.)', ['^src/(core|records)/']),
    only('worker-tests', '^src/worker/.*\\.test\\.ts$', ['^src/(core|records|worker|testing)/']),
    only('instruments-on-core', '^src/instruments/', ['^src/core/']),
    only('ui-on-units', '^src/ui/', ['^src/core/units/']),
    only('screens-below-app', '^src/screens/', ['^src/(core|records|worker|instruments|ui|testing)/']),
    only('app-renders-screens', '^app/', ['^src/(screens|ui)/']),
    only('server-on-core', '^server/', ['^src/core/']),
    only('demo-on-records', '^demo/(?!units)', [
      '^src/(core|records|worker)/',
      '^src/testing/',
      '^scripts/schema',
    ]),
    only('scripts', '^scripts/', ['^src/core/', '^src/records/', '^src/testing/', '^demo/']),
    {
      name: 'screens-hold-no-sums',
      comment: 'hooks (useX.ts) and pages (tsx) only: what is worked out lives in core and comes as a value',
      severity: 'error',
      from: { path: '^(app|src)/' },
      to: {
        path: '^src/screens/.*\\.ts$',
        pathNot:
          '/use[A-Z][A-Za-z]*\\.ts$|\\.test\\.ts$|^src/screens/(workshop|pieces/addPiece|shared/keepPhoto)\\.ts$',
      },
    },
    {
      name: 'first-page-is-light',
      comment: 'what the first page and the frame load carries no sums, no schemas and no records',
      severity: 'error',
      from: {
        path: '^src/screens/(Frame|fromWorkshop|pieces/(PiecesScreen|PieceRow|FaceThumb|useFrontNow)|bench/(TodayPane|DayStrip)|shared/(Page|Missing|useAct|StateMark|WhenSeen))\\.|^src/records/(front|frontStore|changes|clock|look|storage)\\.|^src/core/(front|calendar)/[a-z]+\\.ts$|^src/ui/|^src/worker/(index|client)\\.',
        pathNot: '\\.test\\.tsx?$',
      },
      to: {
        path: '^src/core/|^src/records/|node_modules/(joi|culori|clipper2-ts|ml-matrix)/',
        pathNot:
          '^src/core/(front|calendar|units|terms)/|^src/records/(front|frontStore|changes|clock|look|storage|types)\\.',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'core-is-pure',
      comment: 'core knows no React, no storage, no worker plumbing, no node built-ins outside its tests',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '(^|node_modules/)(react|react-dom|react-native|react-native-[^/]+|expo|expo-[^/]+|@expo|swr|comlink|@react-native-async-storage)/',
      },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'public-face-only',
      comment: 'other rooms of core are entered by their index; but for the PDF, below',
      severity: 'error',
      from: { path: '^src/core/(?!pdf/)([^/]+)/' },
      to: { path: '^src/core/[^/]+/', pathNot: ['^src/core/$1/', '^src/core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'pdf-is-loaded-apart',
      comment:
        'what a part of its own shares with the rest is loaded with the first page: the PDF takes only what it needs, file by file',
      severity: 'error',
      from: { path: '^src/core/pdf/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/', pathNot: '^src/core/(pdf/|check/range|print/(drawing|letters)|sources/)' },
    },
    {
      name: 'core-from-outside-by-index',
      severity: 'error',
      from: { path: '^(src/(records|worker|instruments|ui|screens)|server|demo|scripts)/' },
      to: { path: '^src/core/[^/]+/', pathNot: '^src/core/[^/]+/index\\.ts$' },
    },
    {
      name: 'test-room-for-tests',
      severity: 'error',
      // The torture run is the tests' large form.
      from: {
        path: '^(app|src|server|demo|scripts)/',
        pathNot: '\\.test\\.tsx?$|^src/testing/|^scripts/torture/',
      },
      to: { path: '^src/testing/' },
    },
    {
      name: 'tests-stay-tests',
      severity: 'error',
      from: { pathNot: '\\.(test|spec)\\.tsx?$|^(e2e|benchmarks)/|^jest\\.' },
      to: {
        path: '\\.test\\.tsx?$|node_modules/(@techstark|colorjs\\.io|fast-check|fraction\\.js|dxf-parser)/',
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.d\\.ts$' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['browser', 'import', 'require', 'default'],
      extensions: ['.web.tsx', '.web.ts', '.tsx', '.ts', '.mjs', '.js', '.cjs', '.json'],
    },
  },
};
