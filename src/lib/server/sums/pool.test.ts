import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'vite';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import { computePlan } from '$core/plan';
import { largestPlan } from '../../../../scripts/lib/plan-of';

const order = { plan: tideline, shelf: cards, past: { today: 0 } };
/** Work for about a second, so that its time is up long before it is done. */
const long = { ...order, plan: largestPlan() };
let folder: string;
let sums: typeof import('.');

beforeAll(async () => {
  folder = mkdtempSync(join('node_modules', '.sums-'));
  await build({
    configFile: 'vite.sums.config.ts',
    logLevel: 'error',
    build: { outDir: join(folder, 'build') }
  });
  vi.stubEnv('DEV', false);
  vi.stubEnv('KIRAPEN_HOME', join(process.cwd(), folder));
  sums = await import('.');
}, 60_000);

afterAll(async () => {
  await sums.endThreads();
  vi.unstubAllEnvs();
  rmSync(folder, { recursive: true });
});

describe('work in a thread', () => {
  it('comes to the same figures as here', async () => {
    const there = await sums.inThread('compute', order);
    expect(there).toBe(JSON.stringify(computePlan(order.plan, order.shelf, order.past)));
  });

  it('leaves this thread free: others are answered before it is done', async () => {
    const answered: string[] = [];
    const work = sums.inThread('compute', order).then(() => answered.push('work'));
    await new Promise((next) => setImmediate(next));
    answered.push('page');
    await work;
    expect(answered).toEqual(['page', 'work']);
  });

  it('is given up past its time, says so, and goes on with the next', async () => {
    await expect(sums.inThread('compute', long, 0.001)).rejects.toMatchObject({
      code: 'took-too-long',
      mend: expect.stringContaining('less')
    });
    await expect(sums.inThread('compute', order)).resolves.toContain('"cups"');
  });
});
