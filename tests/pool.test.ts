import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { cards } from '$demo/cards';
import { tideline } from '$demo/plans';
import { computePlan, type Plan } from '$core/plan';
import { largestPlan } from '../scripts/lib/plan-of';

const textOf = (plan: Plan) => JSON.stringify({ format: 'kirapen.plan', version: 2, plan, shelf: cards });
const order = { text: textOf(tideline), today: 0 };
const read = ({ json }: { json: Uint8Array }) => JSON.parse(new TextDecoder().decode(json));
/** Twenty-six cups take longer than its time, and longer than the beginning of a run. */
const long = { ...order, text: textOf(largestPlan(1, 2)) };
let sums: typeof import('../src/lib/server/workers');

beforeAll(async () => {
  // The threads are those of the built application.
  vi.stubEnv('DEV', false);
  vi.stubEnv('KIRAPEN_HOME', process.cwd());
  sums = await import('../src/lib/server/workers');
});

afterAll(async () => {
  await sums.endThreads();
  vi.unstubAllEnvs();
});

describe('work in a thread', () => {
  it('comes to the same figures as here', async () => {
    const there = await sums.inThread('compute', order);
    expect(there.status).toBe(200);
    expect(read(there)).toEqual(JSON.parse(JSON.stringify(computePlan(tideline, cards, { today: 0 }))));
  });

  it('says what is wrong with a plan that cannot be read', async () => {
    const broken = await sums.inThread('compute', { text: '{"plan":', today: 0 });
    expect(broken.status).toBe(400);
    expect(read(broken).problems).toEqual([expect.objectContaining({ code: 'not-json' })]);
    const bare = await sums.inThread('compute', { text: '{}', today: 0 });
    expect(bare.status).toBe(422);
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
    await expect(sums.inThread('compute', order)).resolves.toMatchObject({ status: 200 });
  });

  it('lets the beginning of a run wait for nothing that was asked before it', async () => {
    const done: string[] = [];
    const before = sums.inThread('compute', long, 600).then(() => done.push('sum'));
    const begun = sums.inThread('freeze', { plan: tideline, shelf: cards, learned: {} });
    await begun.then(() => done.push('run'));
    expect(done).toEqual(['run']);
    await before;
  });

  it('takes what a page shows before what takes long anyway', async () => {
    const done: string[] = [];
    // One keeps the thread; the others wait behind it.
    const first = sums.inThread('compute', order);
    const slow = sums
      .inThread('record', { address: join(tmpdir(), 'no-such-workshop.db') })
      .catch(() => undefined)
      .then(() => done.push('record'));
    const quick = sums.inThread('compute', order).then(() => done.push('page'));
    await Promise.all([first, slow, quick]);
    expect(done).toEqual(['page', 'record']);
  });
});
