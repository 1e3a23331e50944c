// npm run bench: how fast it is, as ratios within one run, beside the figures that were kept last. `npm run bench -- --keep` keeps these.
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { build as bundle } from 'vite';
import { build, ROOT } from './lib/shell.js';

build();
// Bundled as the application is: a loader that rewrites each function as it is read would be measured with it.
const outDir = join(ROOT, 'node_modules/.cache/kirapen-bench');
await bundle({
  root: ROOT,
  configFile: false,
  logLevel: 'error',
  plugins: [svelte()],
  publicDir: false,
  resolve: {
    alias: {
      $core: resolve(ROOT, 'src/core'),
      $lib: resolve(ROOT, 'src/lib'),
      $demo: resolve(ROOT, 'demo')
    }
  },
  build: { ssr: 'scripts/bench/main.ts', outDir, emptyOutDir: true }
});
const { status } = spawnSync('node', ['--expose-gc', join(outDir, 'main.js'), ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit'
});
rmSync(outDir, { recursive: true, force: true });
process.exit(status ?? 1);
