import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository's root. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** Runs a command with its output shown; exits with a clear message when it fails. */
export function must(what, command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  if (done.status !== 0) fail(`${what} failed. The lines above say why.`);
}

/** Runs a command beside others and says its code; its output is shown when it ends, so that two do not mix. */
export function run(command, args, options = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, ...options });
    let text = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => (text += part));
    child.on('close', (code) => {
      process.stdout.write(text);
      done(code ?? 1);
    });
  });
}

/** Says what went wrong and exits with 1. */
export function fail(message) {
  console.error(`\n✗ ${message}`);
  process.exit(1);
}

/** A digest of files below folders, by content. */
function digest(paths) {
  const hash = createHash('sha256');
  const take = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) take(join(path, name));
    else hash.update(path).update(readFileSync(path));
  };
  for (const path of paths) take(join(ROOT, path));
  return hash.digest('hex');
}

/** Does a piece of work only when what it depends on changed since it was last done. */
function whenChanged(stamp, inputs, output, work) {
  const file = join(ROOT, stamp);
  const now = digest(inputs);
  if (existsSync(join(ROOT, output)) && existsSync(file) && readFileSync(file, 'utf8') === now) return;
  work();
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, now);
}

/** Checks Node's version and installs what package-lock.json names, when that is not done yet. */
export function install() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Kirapen needs Node 20.19 or newer; this is ${process.versions.node}.`);
  whenChanged('node_modules/.kirapen-installed', ['package-lock.json'], 'node_modules', () => {
    console.log('Installing packages…');
    must('npm ci', 'npm', ['ci', '--no-audit', '--no-fund']);
  });
}

/** Builds the application when its sources changed since the last build. */
export function build() {
  const inputs = [
    'src',
    'demo',
    'static',
    'package-lock.json',
    'svelte.config.js',
    'vite.config.ts',
    'vite.workers.config.ts',
    'tsconfig.json'
  ];
  whenChanged('build/.kirapen-built', inputs, 'build/handler.js', () => {
    console.log('Building…');
    must('The build', 'npx', ['vite', 'build', '--logLevel', 'warn']);
    must('The build of its workers', 'npx', [
      'vite',
      'build',
      '--config',
      'vite.workers.config.ts',
      '--logLevel',
      'warn'
    ]);
  });
}

/** Starts the built application and stays with it until it stops. */
export function serve(env) {
  const server = spawn('node', ['server.js'], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { KIRAPEN_LOG: 'warn', ...process.env, ...env }
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
