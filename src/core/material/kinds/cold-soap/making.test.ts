import { describe, expect, it } from 'vitest';
import { cards } from '../../../../../demo/cards';
import { nightHeron } from '../../../../../demo/plans';
import { mixed } from '../../../plan/plans.testing';
import { computePlan, type Plan } from '../../../plan';
import { foldRun, tasksOf, type RunEvent } from '../../../run';
import { event } from '../../../run/run.testing';

const made = (plan: Plan) => {
  const computed = computePlan(plan, cards);
  return { computed, tasks: tasksOf(plan, computed) };
};

describe('the making of cold-process soap', () => {
  it.each(['each', 'split'] as const)('is in the order that is safe, mix by mix: %s', (way) => {
    const { tasks } = made(mixed(nightHeron, way));
    const mixes = new Set(tasks.flatMap((t) => (t.kind === 'make' ? [t.mixId] : [])));
    expect(mixes.size).toBeGreaterThan(0);
    for (const mixId of mixes) {
      const at = (test: (id: string) => boolean) => tasks.findIndex((t) => test(t.id));
      const weigh = (key: string) => at((id) => id === `weigh:${mixId}:${key}`);
      const oils = tasks.flatMap((t, i) =>
        t.kind === 'weigh' && t.mixId === mixId && t.key.startsWith('oil-') ? [i] : []
      );
      const done = (id: string) => at((x) => x === `make:${mixId}:${id}`);
      // Water first, lye into it, never the other way; the oils while it cools; then the lye into the oils.
      const order = [weigh('water'), weigh('naoh'), done('dissolve'), ...oils, done('melt'), done('join')];
      expect(order).toEqual([...order].sort((a, b) => a - b));
      expect(order).not.toContain(-1);
    }
  });

  it('has its clock from the moment the lye is in the oils, on the score and in the run', () => {
    const { computed, tasks } = made(nightHeron);
    const join = computed.score.blocks.find((b) => b.label === 'pour the lye into the oils')!;
    for (const w of computed.score.windows) expect(w.zero).toBeCloseTo(join.to, 9);
    const upTo = tasks.slice(0, tasks.findIndex((t) => t.kind === 'make' && t.startsClock) + 1);
    const events = upTo.map((t, i): RunEvent =>
      t.kind === 'weigh'
        ? event({ type: 'weighed', task: t.id, grams: t.grams }, i * 60_000)
        : event({ type: 'done', task: t.id }, i * 60_000)
    );
    const pot = computed.common[0]!.mixId;
    expect(foldRun(tasks, events.slice(0, -1), 0.01).cups.get(pot)?.zero).toBeUndefined();
    expect(foldRun(tasks, events, 0.01).cups.get(pot)?.zero).toBe(events.at(-1)!.at);
  });
});
