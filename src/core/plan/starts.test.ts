import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, tideline } from '../../../demo/plans';
import { cureOf } from '../cure';
import { applyTechnique, computePlan, newPlan, type Plan } from '.';

const base = cards.bases.find((b) => b.id === rockpool.mixes[0]!.baseId)!;

/** Flames of two cups of very different sizes, filled in by the technique. */
function flames(): Plan {
  const bare = newPlan('flames', 'Flames', cards, 'roundel');
  const made = applyTechnique(
    { ...bare, steps: [], mixes: bare.mixes.map((m) => ({ ...m, baseId: base.id })) },
    cards,
    { techniqueId: 'drag-flames', groupId: 'group-1', keep: 'nothing' }
  );
  const [first, second] = made.steps.filter((s) => s.act.kind === 'ribbon');
  return {
    ...made,
    steps: made.steps.map((s) =>
      s.id === first!.id
        ? { ...s, act: { ...s.act, amount: { kind: 'share' as const, of: 0.85 } } as typeof s.act }
        : s
    ),
    groups: made.groups.map((g) => ({ ...g, count: 2 })),
    cups: made.cups.map((c) =>
      c.id === (second!.act as unknown as { cupId: string }).cupId ? { ...c, name: 'small' } : c
    )
  };
}

describe('cups that must be as far at one moment', () => {
  const plan = flames();
  const { starts, score, cups } = computePlan(plan, cards);

  it('are mixed apart by the difference of their own times, the slowest first', () => {
    expect(starts!.length).toBeGreaterThan(1);
    for (const s of starts!) {
      const cup = cups.find((c) => c.cupId === s.cupId)!;
      const own = cureOf(base.openMinutes, { cup: cup.mixes[0]!.balance.mixed }, plan.bench.roomCelsius);
      const slowest = Math.max(
        ...starts!.map((x) => {
          const other = cups.find((c) => c.cupId === x.cupId)!;
          return cureOf(base.openMinutes, { cup: other.mixes[0]!.balance.mixed }, plan.bench.roomCelsius)
            .begins['holds a line'];
        })
      );
      expect(s.later).toBeCloseTo(slowest - own.begins['holds a line'], 6);
    }
    // The fuller cup runs ahead, and is mixed later.
    const [small, large] = [...starts!].sort(
      (a, b) =>
        cups.find((c) => c.cupId === a.cupId)!.balance.mixed -
        cups.find((c) => c.cupId === b.cupId)!.balance.mixed
    );
    expect(small!.later).toBe(0);
    expect(large!.later).toBeGreaterThan(1);
  });

  it('are all made before the first of them is waited for, and poured one after the other', () => {
    const pours = score.blocks.filter((b) => b.act === 'pour');
    const stirred = score.blocks.filter((b) => b.act === 'stir');
    expect(Math.max(...stirred.map((b) => b.to))).toBeLessThanOrEqual(
      Math.min(...pours.map((b) => b.from)) + 1e-9
    );
  });

  it('need no thought where one waits alone', () => {
    expect(computePlan(tideline, cards).starts).toBeUndefined();
  });
});
