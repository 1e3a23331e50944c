// npm run soak: the same tests with many more tries by chance, kills and mutated documents. Takes the better part of an hour.
import { spawnSync } from 'node:child_process';
import { build, install, ROOT } from './lib/shell.js';

install();
build();
const env = { ...process.env, KIRAPEN_SOAK: '1' };
const run = (...args) =>
  spawnSync('npx', ['vitest', 'run', ...args], { cwd: ROOT, stdio: 'inherit', env }).status;
const failed = [run(), run('--config', 'vitest.browser.config.ts')].filter(Boolean).length;
process.exit(failed ? 1 : 0);
