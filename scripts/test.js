// npm test: every test, on a machine with Node and nothing else. Ends with a plain line of counts. Of long lists it takes this
// day's part; `npm test -- --whole` takes all of them.
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { daysToNewestCommit } from './lib/commit.js';
import { build, fail, install, must, ROOT, run } from './lib/shell.js';

const began = Date.now();
install();
must('SvelteKit’s own types', 'npx', ['svelte-kit', 'sync']);
await chromium();

const whole = process.argv.includes('--whole');
const folder = mkdtempSync(join(tmpdir(), 'kirapen-test-'));
// Beside each other: neither keeps two cores busy to its end.
const units = vitest('unit', []);
build();
const unit = await units;
said('build and unit tests');
const browser = await vitest('browser', ['--config', 'vitest.browser.config.ts']);
said('browser tests');
rmSync(folder, { recursive: true });

const passed = unit.passed + browser.passed;
const failed = unit.failed + browser.failed;
for (const name of [...unit.names, ...browser.names]) console.log(`failed: ${name}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed || !passed ? 1 : 0);

/** How long it has taken so far. */
function said(what) {
  const seconds = Math.round((Date.now() - began) / 1000);
  console.log(`… ${what} done, ${Math.floor(seconds / 60)} min ${seconds % 60} s`);
}

/** Runs one set of tests; a run that broke before it could count is a failure too. */
async function vitest(name, args) {
  const report = join(folder, `${name}.json`);
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
  const env = { ...process.env, KIRAPEN_DAY: `${daysToNewestCommit()}`, KIRAPEN_WHOLE: whole ? '1' : '0' };
  const code = await run('npx', ['vitest', 'run', ...args, ...reporters], { stdio: 'inherit', env });
  const broke = `the ${name} tests broke off with code ${code}; the lines above say where`;
  if (!existsSync(report)) return { passed: 0, failed: 1, names: [broke] };
  const counted = JSON.parse(readFileSync(report, 'utf8'));
  const names = failuresIn(counted);
  if (code !== 0 && !names.length) names.push(broke);
  return { passed: counted.numPassedTests, failed: Math.max(names.length, counted.numFailedTests), names };
}

/** Every test that failed and every file that could not be read, each with the first line of why. */
function failuresIn(report) {
  return report.testResults.flatMap((file) => {
    const of = file.name.replace(`${ROOT}/`, '');
    const tests = file.assertionResults.filter(({ status }) => status === 'failed');
    if (!tests.length && file.status === 'failed') return [`${of}: ${firstLine(file.message)}`];
    return tests.map((test) => `${of}: ${test.fullName}: ${firstLine(test.failureMessages?.[0])}`);
  });
}

/** The first line of a longer text, short enough for a list. */
function firstLine(text) {
  return (text ?? '').split('\n')[0].slice(0, 200);
}

/** Gets Debian's Chromium when it is missing, or says plainly why it cannot. */
async function chromium() {
  if (existsSync('/usr/bin/chromium') || process.env.CHROMIUM) return;
  console.log('Chromium is missing; getting Debian’s through apt…');
  if (process.getuid?.() !== 0)
    fail('The browser tests need Chromium, and only root may install it. Run: sudo apt-get install chromium');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', ['update', '-qq'], { env });
  if ((await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env })) !== 0)
    fail(
      'apt could not install chromium. Install it by hand, or name another with CHROMIUM=/path/to/chromium.'
    );
}
