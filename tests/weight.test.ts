import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { someOf } from '$core/soak.testing';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
const asked = new Set<string>();
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true });
  bench = await workshop.page('/guide');
  bench.page.on('response', (r) => asked.add(new URL(r.url()).pathname));
});
afterAll(() => workshop.close());

/** Script that a page may ask for until it can be used, kB gzipped: what it does not show at once is fetched when it is opened. */
const BUDGETS = [
  ['/', 80],
  ['/shelf', 80],
  ['/record', 80],
  ['/days', 80],
  ['/workshop', 80],
  ['/plans', 110],
  ['/colours', 120],
  ['/plans/rockpool-roundels', 415]
] as const;

const built = resolve('build/client');
const weighed = (path: string): number => gzipSync(readFileSync(join(built, path))).length / 1024;

describe('the script of a page', () => {
  it.each(someOf(BUDGETS, 2))('%s weighs at most %i kB', async (path, most) => {
    asked.clear();
    await bench.go(path);
    // What the page listens to stays open.
    await bench.page.waitForNetworkIdle({ concurrency: 2 });
    const scripts = [...asked].filter((s) => s.endsWith('.js') && !s.includes('worker'));
    const kilobytes = scripts.map(weighed);
    expect(kilobytes.length).toBeGreaterThan(10);
    expect(kilobytes.reduce((sum, kB) => sum + kB, 0)).toBeLessThanOrEqual(most);
  });
});
