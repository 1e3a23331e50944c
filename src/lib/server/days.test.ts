import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { tideline } from '$demo/plans';
import { cards } from '$demo/cards';
import { Piece } from '$core/inspect';
import { dueOf, freeze, type RunEvent } from '$core/run';
import { done, upTo } from '$core/run/run.testing';
import { foldedRun } from '../run/folded-run';
import { addEvents, openStore, readPlans, savePiece, savePlan, startRun, type Store } from './database';
import { daysAhead, placedSoFar } from './days';
import { openOrders } from './orders';
import { largestPlan, planOf } from '../../../scripts/lib/plan-of';
import { taughtByRuns } from './learned-history';

const MINUTE = 60_000;
const BEGUN = new Date(2026, 5, 1, 9).getTime();

let folder: string;
let store: Store;
beforeEach(async () => {
  taughtByRuns.clear();
  folder = mkdtempSync(join(tmpdir(), 'kirapen-days-'));
  store = await openStore(join(folder, 'test.db'), 'drizzle');
  await savePlan(store, tideline, { basedOn: 'new', now: 1 });
});
afterEach(async () => {
  await store.close();
  rmSync(folder, { recursive: true, force: true });
});

const frozen = freeze(tideline, cards);
/** A run poured up, out of its mould so many minutes after, when `out` is said. */
async function poured(out?: number) {
  const events: RunEvent[] = upTo(frozen, 'pour:lay-foam', MINUTE).map((e) => ({ ...e, at: BEGUN + e.at }));
  const last = events.at(-1)!.at;
  const demould = frozen.tasks.find((t) => t.kind === 'demould')!;
  const before = frozen.tasks.slice(events.length, frozen.tasks.indexOf(demould));
  const more = out === undefined ? [] : [...before, demould].map((t, i) => done(t, last + out * MINUTE + i));
  await startRun(store, { id: 'run', startedAt: BEGUN, frozen });
  await addEvents(store, 'run', [...events, ...more]);
  return { state: foldedRun(frozen, [...events, ...more]), last };
}

describe('the days of what was poured', () => {
  it.each([
    ['still in its mould', undefined],
    ['out of it', 700]
  ] as const)('have what the bench says is due, at the same moment: %s', async (_, out) => {
    const { state, last } = await poured(out);
    const now = last + (out ?? 10) * MINUTE + MINUTE;
    const days = await daysAhead(store.db, now);
    const due = dueOf(frozen, state, { now, dayStart: days.origin }).filter((d) => d.task.kind !== 'gate');
    expect(due.length).toBeGreaterThan(0);
    const placed = days.placed.filter((p) => p.orderId === 'run');
    for (const d of due) {
      const own = placed.find((p) => p.taskId === d.task.id)!;
      expect(own.name).toBe(d.what);
      expect(days.origin + own.from * MINUTE).toBeGreaterThanOrEqual(d.from - 1);
    }
    // What is not due yet is only how its mould is freed.
    const other = placed.filter((p) => !due.some((d) => d.task.id === p.taskId));
    expect(other.filter((p) => p.name !== 'Demould')).toEqual([]);
    expect(days.curing).toEqual([{ id: 'run', name: tideline.name }]);
  });

  it('hold its mould only until it is out', async () => {
    const { last } = await poured(700);
    const days = await daysAhead(store.db, last + 701 * MINUTE);
    expect(days.placed.some((p) => p.orderId === 'run' && p.name.startsWith('Demould'))).toBe(false);
  });
});

describe('an order that is poured again', () => {
  it('counts what its repeats came to, and they found no order of their own', async () => {
    const { order: _, ...again } = { ...tideline, id: 'again', madeFrom: { plan: tideline.id, run: 'run' } };
    await savePlan(store, again, { basedOn: 'new', now: 3 });
    const frozenAgain = { ...frozen, file: { ...frozen.file, plan: again } };
    await startRun(store, { id: 'run-2', frozen: frozenAgain, startedAt: 5 });
    for (let number = 1; number <= 4; number++)
      await savePiece(
        store,
        'run-2',
        Piece.parse({
          id: `piece-${number}`,
          groupId: 'knobs',
          number,
          faces: [{ face: 'mould face', grade: 'good', defects: [] }]
        }),
        7
      );
    const wanted = async () =>
      (await openOrders(store.db, [tideline, again])).open.map((p) => [p.id, p.order?.good]);
    const { good } = tideline.order!;
    expect(await wanted()).toEqual([
      [tideline.id, good - 4],
      ['again', undefined]
    ]);
  });
});

describe('many orders', () => {
  it('all stand on the days, the oldest too, however many plans there are', async () => {
    const many = Array.from({ length: 60 }, (_, i) => ({
      ...tideline,
      id: `order-${i}`,
      order: { good: 6 }
    }));
    const { order: _, ...plain } = tideline;
    const others = Array.from({ length: 50 }, (_, i) => ({ ...plain, id: `other-${i}` }));
    for (const [i, plan] of [...many, ...others].entries())
      await savePlan(store, plan, { basedOn: 'new', now: 10 + i });
    const { orders } = await daysAhead(store.db, BEGUN);
    expect(new Set(orders.map((o) => o.planId))).toEqual(
      new Set(['tideline-knobs', ...many.map((p) => p.id)])
    );
    const { open, leftOut } = await openOrders(
      store.db,
      (await readPlans(store.db)).good.map((p) => p.plan)
    );
    expect(open.filter((p) => !p.order)).toHaveLength(40);
    expect(leftOut).toEqual([]);
    expect(placedSoFar()).toBeUndefined();
  });

  it('stand on them however many pours one has; what is too much together is named', async () => {
    const large = { ...planOf(12, 48, 240), id: 'large', name: 'Large', order: { good: 6 } };
    await savePlan(store, large, { basedOn: 'new', now: 2 });
    const days = await daysAhead(store.db, BEGUN);
    expect(days.orders.map((o) => o.planId)).toContain('large');
    expect(days.leftOut).toEqual([]);

    const largest = ['first', 'second', 'third'].map((id) => ({
      ...largestPlan(),
      id,
      name: id,
      order: { good: 6 }
    }));
    const { order: _, ...unasked } = largest[0]!;
    const { open, leftOut } = await openOrders(store.db, [unasked, ...largest, large, tideline]);
    expect(open.map((p) => p.id)).toEqual(['first', 'second', 'tideline-knobs']);
    expect(leftOut).toEqual([
      { planId: 'third', name: 'third' },
      { planId: 'large', name: 'Large' }
    ]);
  });
});
