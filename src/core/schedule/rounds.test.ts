import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { saltings } from '../../../demo/plans';
import { computePlan } from '../plan';
import { tasksOf } from '../run';
import type { Plan } from '../document';

const columns = saltings.steps.filter((s) => s.act.kind === 'column');
const rounds = (columns[0]!.act as unknown as { rounds: number }).rounds;
const computed = computePlan(saltings, cards);
const tasks = tasksOf(saltings, computed);
const inRounds = tasks.flatMap((t) => (t.kind === 'pour' && t.round ? [t] : []));

describe('a pour in rounds', () => {
  it('goes turn about: a task a round and a jug, in the order of the jugs', () => {
    expect(columns.length).toBeGreaterThan(1);
    expect(inRounds.map((t) => [t.round!.nth, t.stepId])).toEqual(
      Array.from({ length: rounds }, (_, r) => columns.map((s) => [r + 1, s.id])).flat()
    );
    expect(new Set(inRounds.map((t) => t.id)).size).toBe(inRounds.length);
  });

  it('comes to the same grams and minutes as one pour of each jug', () => {
    for (const { id } of columns) {
      const own = inRounds.filter((t) => t.stepId === id);
      const layer = computed.groups.flatMap((g) => g.layers).find((l) => l.stepId === id)!;
      expect(own.reduce((s, t) => s + t.gramsEach * t.count, 0)).toBeCloseTo(layer.grams, 6);
      const blocks = computed.score.blocks.filter((b) => b.stepId === id && b.act === 'pour');
      expect(blocks).toHaveLength(rounds);
      const minutes = blocks.map((b) => b.to - b.from);
      expect(Math.max(...minutes)).toBeCloseTo(Math.min(...minutes), 9);
    }
  });

  it('has every jug mixed before its first round, and its windows hold to the last', () => {
    const first = tasks.indexOf(inRounds[0]!);
    const stirs = tasks.flatMap((t, i) => (t.kind === 'stir' ? [i] : []));
    const cups = new Set(inRounds.map((t) => t.mixId));
    expect(stirs.filter((i) => cups.has((tasks[i] as { mixId: string }).mixId)).every((i) => i < first)).toBe(
      true
    );
  });

  it('of one round is a pour like any other', () => {
    const plain: Plan = {
      ...saltings,
      steps: saltings.steps.map((s) =>
        s.act.kind === 'column' ? { ...s, act: { ...s.act, rounds: 1 } as typeof s.act } : s
      )
    };
    const own = tasksOf(plain, computePlan(plain, cards));
    expect(own.filter((t) => t.kind === 'pour' && t.round)).toEqual([]);
  });
});
