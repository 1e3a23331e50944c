import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: {
    alias: {
      $core: resolve('src/core'),
      $lib: resolve('src/lib'),
      $demo: resolve('demo')
    }
  },
  test: { include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'scripts/**/*.test.ts'] }
});
