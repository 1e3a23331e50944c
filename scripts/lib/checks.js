/** Every check, in two lanes that take about as long as each other: two cores run them side by side. */
export const CHECKS = [
  [
    ['Types (svelte-check)', 'npx', ['svelte-check', '--fail-on-warnings', '--output', 'human']],
    ['Format (prettier): run npm run format, it', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
    ['Documented formats: run npm run schemas, they', 'npx', ['tsx', 'scripts/schemas.ts', '--check']]
  ],
  [
    ['Lint (eslint)', 'npx', ['eslint', '.', '--max-warnings', '0']],
    ['Dependency rules', 'npx', ['depcruise', 'src', 'demo', '--config', '.dependency-cruiser.cjs']],
    ['Unused code (knip)', 'npx', ['knip', '--no-config-hints']]
  ]
];
