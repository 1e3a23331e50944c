// npm run check: types, lint, format, dependency rules, unused code, and documented formats up to date.
import { install, must } from './lib/shell.js';

install();
must('SvelteKit’s own types', 'npx', ['svelte-kit', 'sync']);
must('Types (svelte-check)', 'npx', ['svelte-check', '--fail-on-warnings', '--output', 'human']);
must('Lint (eslint)', 'npx', ['eslint', '.', '--max-warnings', '0']);
must('Format (prettier): run npm run format, it', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
must('Dependency rules', 'npx', ['depcruise', 'src', 'demo', '--config', '.dependency-cruiser.cjs']);
must('Unused code (knip)', 'npx', ['knip', '--no-config-hints']);
must('Documented formats: run npm run schemas, they', 'npx', ['tsx', 'scripts/schemas.ts', '--check']);
