// npm run check: types, lint, format, dependency rules, unused code, and documented formats up to date.
import { fail, install, must, run } from './lib/shell.js';

/** Two lanes that take about as long as each other: two cores run them side by side. */
const LANES = [
  [
    ['Types (svelte-check)', 'svelte-check', '--fail-on-warnings', '--output', 'human'],
    ['Lint (eslint)', 'eslint', '.', '--max-warnings', '0']
  ],
  [
    ['Format (prettier): run npm run format, it', 'prettier', '--check', '--log-level', 'warn', '.'],
    ['Documented formats: run npm run schemas, they', 'tsx', 'scripts/schemas.ts', '--check'],
    ['Dependency rules', 'depcruise', 'src', 'demo', '--config', '.dependency-cruiser.cjs'],
    ['Unused code (knip)', 'knip', '--no-config-hints']
  ]
];

install();
must('SvelteKit’s own types', 'npx', ['svelte-kit', 'sync']);
await Promise.all(LANES.map(lane));

async function lane(checks) {
  for (const [what, ...command] of checks)
    if ((await run('npx', command)) !== 0) fail(`${what} failed. The lines above say why.`);
}
