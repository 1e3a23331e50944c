import { resolve } from 'node:path';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { $core: resolve('src/core'), $demo: resolve('demo') } },
  test: {
    include: ['tests/*.test.ts'],
    // Each file has a server, a database and a browser of its own; what they import is read once.
    maxWorkers: 2,
    isolate: false,
    globalSetup: 'tests/demo-workshop.ts',
    // A busy machine may be slow; nothing here is about time.
    testTimeout: 600_000,
    hookTimeout: 600_000,
    expect: { poll: { timeout: 60_000 } }
  }
});
