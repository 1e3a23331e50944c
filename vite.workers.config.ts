import { resolve } from 'node:path';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vite';

/** What runs in the server's threads, as one file beside the server. */
export default defineConfig({
  // Drawings of the pages stand on the sheets too.
  plugins: [svelte()],
  resolve: { alias: { $core: resolve('src/core'), $lib: resolve('src/lib'), $demo: resolve('demo') } },
  publicDir: false,
  build: {
    ssr: 'src/lib/server/workers/thread.ts',
    outDir: 'build',
    emptyOutDir: false,
    rollupOptions: { output: { entryFileNames: 'workers.js', chunkFileNames: 'workers-[name].js' } }
  }
});
