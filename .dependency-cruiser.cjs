/** The rooms of the core from the ground up: each may use those before it, none that stands after it. */
const ROOMS = [
  'quantity',
  'preferences',
  'mould',
  'cure',
  'material',
  'dosing',
  'batch',
  'colour',
  'shelf',
  'document',
  'pattern',
  'photo',
  'pour',
  'edit',
  'schedule',
  'order',
  'plan',
  'piece',
  'days',
  'propose',
  'device',
  'run',
  'rehearse',
  'inspect',
  'advice'
];

const roomsInOrder = ROOMS.map((room, i) => ({
  name: `${room}-imports-nothing-above-it`,
  comment: 'No import runs back up: see ROOMS.',
  severity: 'error',
  from: { path: `^src/core/${room}/`, pathNot: '\\.(test|testing)\\.ts$' },
  to: { path: `^src/core/(${ROOMS.slice(i + 1).join('|') || 'none'})/` }
}));

/** Who may import whom. The resolver is told about the aliases, or rules on them would pass silently. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment: 'The core imports nothing but itself and small pure libraries.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.(test|testing)\\.ts$' },
      to: { pathNot: ['^src/core/', '^node_modules/(zod|culori|papaparse|d3-contour|lru-cache|ml-[a-z-]+)/'] }
    },
    {
      name: 'interface-not-server',
      comment: 'What runs in the browser reaches the server through its HTTP interface only.',
      severity: 'error',
      from: { path: '^src/lib/', pathNot: '^src/lib/server/' },
      to: { path: '^src/lib/server/' }
    },
    {
      name: 'nothing-imports-routes',
      severity: 'error',
      from: { pathNot: '^src/routes/' },
      to: { path: '^src/routes/' }
    },
    {
      name: 'demo-only-by-its-loader',
      comment: 'Demo data reaches the application through its loader; tests may use it.',
      severity: 'error',
      from: { path: '^src/', pathNot: ['\\.test(ing)?\\.ts$', '^src/lib/server/demo\\.ts$'] },
      to: { path: '^demo/' }
    },
    {
      name: 'every-room-is-named',
      comment: 'A new room of the core takes its place in ROOMS.',
      severity: 'error',
      from: {},
      to: { path: '^src/core/[^/]+/', pathNot: `^src/core/(${ROOMS.join('|')})/` }
    },
    {
      name: 'migrations-are-frozen',
      comment: 'What reads an older version imports nothing live, or that version would change with it.',
      severity: 'error',
      from: { path: '^src/core/document/migrate/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/core/document/migrate/', '^node_modules/zod/'] }
    },
    ...roomsInOrder,
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      // Types too: a type that stands above what uses it is a circle like any other.
      to: { circular: true }
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    webpackConfig: { fileName: 'scripts/lib/aliases.cjs' }
  }
};
