/** The house: a folder imports only from the stages above it (docs/architecture.md). */
const stages = [
  'refusal',
  'units',
  'geometry',
  'measure',
  'method',
  'shipped',
  'draft',
  'alter',
  'garment',
  'body',
  'walk',
  'measured',
  'trace',
  'check',
  'chain',
  'vocabulary',
  'reference',
  'grade',
  'true-it',
  'correct',
  'steps',
  'advise',
  'compare',
  'style',
  'cloth',
  'piece',
  'drawing',
  'chalk',
  'make',
  'lay',
  'sew',
  'toile',
  'nest',
  'batch',
  'older',
  'workbook',
  'kept',
  'practice',
  'demo',
];

const downhill = stages
  .map((stage, i) => ({
    name: `core-${stage}-looks-up-only`,
    comment: `core/${stage} may use only the stages before it`,
    severity: 'error',
    from: { path: `^core/${stage}/`, pathNot: '\\.test\\.ts$' },
    to: { path: `^core/(${stages.slice(i + 1).join('|')})/` },
  }))
  .filter((rule) => !rule.to.path.includes('()'));

const doors = {
  name: 'through-the-door',
  comment: 'a stage is used through its index.ts; the collected sheets are read as data',
  severity: 'error',
  from: { path: '^core/([^/]+)/', pathNot: '\\.test\\.ts$' },
  to: { path: '^core/[^/]+/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$', '^core/method/sheets/.*\\.json$'] },
};

const stations = [
  'measure',
  'choose',
  'true',
  'finish',
  'cut',
  'keep',
  'people',
  'sizes',
  'advise',
  'compare',
  'steps',
  'sheet',
  'toile',
  'virtual',
  'batch',
  'practise',
];

module.exports = {
  forbidden: [
    ...downhill,
    doors,
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|formats|server|cli|e2e|bench)/' },
    },
    {
      name: 'core-has-no-react',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: 'node_modules/(react|@mui|@emotion|idb|express)' },
    },
    {
      name: 'formats-have-no-app',
      severity: 'error',
      from: { path: '^formats/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|server|cli|e2e)/' },
    },
    {
      name: 'app-uses-core-doors',
      severity: 'error',
      from: { path: '^(app|formats|cli)/', pathNot: '\\.test\\.ts$' },
      // The course is read as data.
      to: { path: '^core/[^/]+/', pathNot: ['^core/[^/]+/index\\.ts$', '^core/practice/course\\.json$'] },
    },
    ...stations.map((s) => ({
      name: `station-${s}-keeps-to-itself`,
      severity: 'error',
      from: { path: `^app/${s}/` },
      to: { path: `^app/(${stations.filter((o) => o !== s).join('|')})/` },
    })),
    {
      name: 'what-stations-share-knows-none-of-them',
      severity: 'error',
      from: { path: '^app/(store|shared|board|body|worn|checks|walk|workers)/' },
      to: { path: `^app/(room|${stations.join('|')})/` },
    },
    {
      name: 'the-store-draws-nothing',
      severity: 'error',
      from: { path: '^app/store/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app/(board|body)/|node_modules/@mui)' },
    },
    {
      name: 'nothing-of-node-in-the-room',
      severity: 'error',
      from: { path: '^(app|core|formats)/', pathNot: '\\.test\\.tsx?$' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.json'] },
  },
};
