// npm test: everything, on a machine with Node and nothing else. Ends with a plain line of counts.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, fail, install, must, ROOT } from './lib/shell.js';

install();
chromium();
must('The checks', 'node', ['scripts/check.js']);

const folder = mkdtempSync(join(tmpdir(), 'kirapen-test-'));
const unit = vitest('unit', []);
build();
const browser = vitest('browser', ['--config', 'vitest.browser.config.ts']);
rmSync(folder, { recursive: true });

const passed = unit.passed + browser.passed;
const failed = unit.failed + browser.failed;
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed || !passed ? 1 : 0);

/** Runs one set of tests; a run that broke before it could count is a failure too. */
function vitest(name, args) {
  const report = join(folder, `${name}.json`);
  const done = spawnSync(
    'npx',
    ['vitest', 'run', ...args, '--reporter=default', '--reporter=json', `--outputFile.json=${report}`],
    { cwd: ROOT, stdio: 'inherit' }
  );
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const counted = JSON.parse(readFileSync(report, 'utf8'));
  const failures = counted.numFailedTests + (done.status !== 0 && counted.numFailedTests === 0 ? 1 : 0);
  return { passed: counted.numPassedTests, failed: failures };
}

/** Gets Debian's Chromium when it is missing, or says plainly why it cannot. */
function chromium() {
  if (existsSync('/usr/bin/chromium') || process.env.CHROMIUM) return;
  console.log('Chromium is missing; getting Debian’s through apt…');
  if (process.getuid?.() !== 0)
    fail('The browser tests need Chromium, and only root may install it. Run: sudo apt-get install chromium');
  const apt = (args) =>
    spawnSync('apt-get', args, {
      stdio: 'inherit',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    });
  apt(['update', '-qq']);
  if (apt(['install', '-y', '-qq', '--no-install-recommends', 'chromium']).status !== 0)
    fail(
      'apt could not install chromium. Install it by hand, or name another with CHROMIUM=/path/to/chromium.'
    );
}
