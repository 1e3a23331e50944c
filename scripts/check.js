// npm run check: types, lint, format, dependency rules, unused code, and documented formats up to date.
import { CHECKS } from './lib/checks.js';
import { install, must } from './lib/shell.js';

install();
must('SvelteKit’s own types', 'npx', ['svelte-kit', 'sync']);
for (const [what, command, args] of CHECKS.flat()) must(what, command, args);
