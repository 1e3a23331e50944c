import { resolve } from 'node:path';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  // Runes in `.svelte.ts` modules.
  plugins: [svelte()],
  resolve: {
    alias: {
      $core: resolve('src/core'),
      $lib: resolve('src/lib'),
      $demo: resolve('demo')
    }
  },
  test: {
    include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'scripts/**/*.test.ts'],
    // A busy machine may be slow; nothing here is about time.
    testTimeout: 30_000
  }
});
