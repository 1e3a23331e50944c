import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans, tideline } from '../../../demo/plans';
import { waitStep } from './new-plan';
import { layer } from '../plan/plans.testing';
import { figuresOf, Plan } from '../plan';
import { sharedEqually, sharersOf } from './share-equally';

const layers = (n: number): Plan => ({
  ...tideline,
  steps: Array.from({ length: n }, (_, i) =>
    layer(`l${i}`, tideline.cups[i % 3]!.id, 'knobs', { kind: 'volume', ml: 0.1 + i })
  )
});

describe('layers shared equally', () => {
  it.each([1, 2, 3, 7])('%d of them each take as much of the cavity, the last to the rim', (n) => {
    const shared = sharedEqually(layers(n), 'knobs');
    const [group] = figuresOf(shared, cards).groups;
    expect(group!.layers).toHaveLength(n);
    for (const l of group!.layers) expect(l.each).toBeCloseTo(group!.capacity / n, 6);
    expect(shared.steps.at(-1)!.act.amount).toEqual({ kind: 'rim' });
    expect(Plan.safeParse(shared).success).toBe(true);
  });

  it('leave waits, other groups and everything but the amounts alone', () => {
    const gate = { id: 'g', all: [{ kind: 'state' as const, state: 'gelled', of: 'layer below' as const }] };
    const wait = waitStep('wait', 'knobs', gate);
    const other = layer('other', tideline.cups[0]!.id, 'elsewhere', { kind: 'volume', ml: 1 });
    const [first, second] = layers(2).steps;
    const plan: Plan = { ...layers(2), steps: [first!, wait, other, second!] };
    const shared = sharedEqually(plan, 'knobs');
    expect(shared.steps[1]).toBe(wait);
    expect(shared.steps[2]).toBe(other);
    expect(sharersOf(plan, 'knobs').map((s) => s.id)).toEqual(['l0', 'l1']);
    for (const i of [0, 3]) {
      const { amount: _, ...before } = plan.steps[i]!.act;
      const { amount, ...after } = shared.steps[i]!.act;
      expect(after).toEqual(before);
      expect(amount).toBeDefined();
    }
    expect({ ...shared, steps: [] }).toEqual({ ...plan, steps: [] });
  });

  it('do nothing where there is nothing to share, and twice is as once', () => {
    expect(sharedEqually({ ...tideline, steps: [] }, 'knobs').steps).toEqual([]);
    for (const plan of plans) {
      const id = plan.groups[0]!.id;
      const once = sharedEqually(plan, id);
      expect(sharedEqually(once, id)).toEqual(once);
    }
  });
});
