/** Who may import whom. The resolver is told about the aliases, or rules on them would pass silently. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment: 'The core imports nothing but itself and small pure libraries.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.(test|testing)\\.ts$' },
      to: { pathNot: ['^src/core/', '^node_modules/(zod|culori|papaparse|d3-contour|ml-[a-z-]+)/'] }
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
      from: { path: '^src/', pathNot: ['\\.test\\.ts$', '^src/lib/server/demo\\.ts$'] },
      to: { path: '^demo/' }
    },
    {
      name: 'documents-below-all',
      comment: 'Plan documents are types and schemas only, below everything that plans.',
      severity: 'error',
      from: { path: '^src/core/plan/document/' },
      to: { path: '^src/core/(batch|cure|plan/(?!document/)|pour|run|schedule|inspect)' }
    },
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
