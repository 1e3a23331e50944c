import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { rockpool, samphire, tideline } from '../../../../demo/plans';
import { computePlan, Plan } from '../../plan';
import { asFamily } from './as-family';

/** The colours of each cavity of the first group in the order they are poured, by cavity. */
function stacks(plan: Plan): Map<number, string[]> {
  const [group] = plan.groups;
  const cupIn = (step: Plan['steps'][number], n: number): string[] => {
    const own = (group!.variations ?? []).find((v) => v.stepId === step.id && v.cavities.includes(n))?.change;
    const { cupId, amount } = step.act as { cupId?: string; amount?: unknown };
    return cupId && amount ? [(own && 'cupId' in own && own.cupId) || cupId] : [];
  };
  const numbers = Array.from({ length: group!.count }, (_, i) => i + 1);
  return new Map(numbers.map((n) => [n, plan.steps.flatMap((s) => cupIn(s, n))]));
}
/** What each layer takes of its cavity, whichever colour it is, by cavity. */
const depths = (plan: Plan): string[] => {
  const computed = computePlan(plan, cards);
  return computed.groups.map((g) => g.layers.map((l) => (l.each / g.capacity).toFixed(3)).join(' '));
};

describe('a repeat as a family', () => {
  const family = asFamily(tideline)!;

  it('has the first member as it was poured, and none that is another’s double until all have had their turn', () => {
    const before = stacks(tideline);
    const after = stacks(family);
    expect(after.get(1)).toEqual(before.get(1));
    const looks = [...after.values()].map((s) => s.join());
    const members = new Set(looks).size;
    expect(members).toBeGreaterThan(1);
    // Neighbours in the tray differ.
    for (let n = 1; n < after.size; n++) expect(after.get(n)).not.toEqual(after.get(n + 1));
  });

  it('has in each cavity the same colours, in layers as deep', () => {
    const before = [...stacks(tideline).get(1)!].sort();
    for (const stack of stacks(family).values()) expect([...stack].sort()).toEqual(before);
    expect(new Set(depths(family))).toEqual(new Set(depths(tideline)));
  });

  it('keeps the bed, where two colours or more lie on it', () => {
    const [bed] = stacks(tideline).get(1)!;
    for (const stack of stacks(family).values()) expect(stack[0]).toBe(bed);
  });

  it('is a plan without a new stop', () => {
    expect(Plan.safeParse(family).success).toBe(true);
    const stops = (p: Plan) => computePlan(p, cards).problems.filter((x) => x.level === 'stop');
    expect(stops(family)).toEqual([]);
  });

  it('is the next member where there is one casting', () => {
    const one = { ...rockpool, groups: rockpool.groups.map((g) => ({ ...g, count: 1 })) };
    const next = asFamily(one)!;
    expect(next.groups).toEqual(one.groups);
    expect(stacks(next).get(1)).not.toEqual(stacks(one).get(1));
    expect([...stacks(next).get(1)!].sort()).toEqual([...stacks(one).get(1)!].sort());
  });

  it('is none of one colour', () => {
    const alone = { ...samphire, steps: samphire.steps.filter((s) => s.id === samphire.steps[0]!.id) };
    expect(asFamily(alone)).toBeUndefined();
  });
});
