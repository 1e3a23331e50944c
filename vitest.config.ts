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
    // A busy machine may be slow; nothing here is about time.
    testTimeout: 600_000,
    hookTimeout: 600_000,
    // Both cores: nothing here waits for anything but its own sums.
    maxWorkers: 2,
    // Files share a world: what one puts in the place of the network is gone before the next.
    unstubGlobals: true,
    projects: [
      {
        extends: true,
        // Pure functions leave nothing behind: read once, not once a file.
        test: { name: 'core', include: ['src/core/**/*.test.ts', 'demo/**/*.test.ts'], isolate: false }
      },
      {
        extends: true,
        test: {
          name: 'around it',
          include: ['src/lib/**/*.test.ts', 'scripts/**/*.test.ts', 'tests/libsql-stand-in/*.test.ts'],
          isolate: false
        }
      }
    ]
  }
});
