import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { eel, lantern, plans, saltings, samphire, shingle, tideline } from '../../../../demo/plans';
import type { Base } from '../../material';
import { applyEdit } from '../../document/apply-edit';
import { computePlan } from '../compute';
import { type Computed } from '../computed';
import { type LearnedHistory } from '../../document';
import { type Plan } from '../read';
import { atBench, layer, mixed, withBase } from '../plans.testing';
import { metricWords } from '../../quantity';

const of = (plan: Plan, learned: LearnedHistory = {}, shelf = cards): Computed =>
  computePlan(plan, shelf, learned);
const codes = (plan: Plan, learned: LearnedHistory = {}) => of(plan, learned).problems.map((p) => p.code);
const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);

describe('one mix in hand', () => {
  it.each(plans.map((p) => [p.name, p] as const))('%s: is castings, never more than there are', (_, plan) => {
    const castings = sum(plan.groups.map((g) => g.count));
    for (const way of ['each', 'split'] as const)
      for (const cup of of(mixed(plan, way)).cups.filter((c) => c.balance.pouredMl > 0)) {
        expect(cup.castings).toBeLessThanOrEqual(castings);
        expect(cup.inHand).toBeLessThanOrEqual(cup.castings);
        expect(cup.castings).toBeGreaterThan(0);
      }
  });

  it('counts a slab as one, however many bars are cut from it', () => {
    const { cups, totals } = of(saltings);
    expect(totals.pieces).toBe(40);
    for (const cup of cups.filter((c) => c.balance.pouredMl > 0)) expect(cup.castings).toBe(1);
  });

  it('counts a cavity once that a cup is poured into twice, with the time of both', () => {
    const twice = (minutes: number): Plan => ({
      ...samphire,
      groups: [{ ...samphire.groups[0]!, count: 4 }],
      steps: [
        layer('one', samphire.cups[0]!.id, samphire.groups[0]!.id, { kind: 'share', of: 0.3 }, { minutes }),
        layer('two', samphire.cups[0]!.id, samphire.groups[0]!.id, { kind: 'share', of: 0.3 }, { minutes })
      ]
    });
    const cup = (minutes: number) => of(twice(minutes)).cups[0]!;
    expect(cup(0.1)).toMatchObject({ castings: 4, inHand: 4 });
    // Two pours of two minutes each: a cavity takes four of what is left of the window.
    expect(cup(2).inHand).toBe(1);
    expect(cup(2).inHand * 4).toBeLessThanOrEqual(cup(2).window * 0.85);
    expect(cup(1.2).inHand).toBeGreaterThan(cup(2).inHand);
  });
});

describe('several mixes', () => {
  const many = applyEdit(samphire, { path: ['groups', 0, 'count'], value: 22 });

  it('are made when one cannot be poured inside its window', () => {
    const { cups } = of(many);
    const [cup] = cups;
    expect(cup!.mixes.length).toBeGreaterThan(1);
    expect(cup!.why).toContain('within');
    const sizes = cup!.mixes.map((m) => sum(m.pours.map((p) => p.count)));
    expect(sum(sizes)).toBe(22);
    expect(Math.max(...sizes)).toBeLessThanOrEqual(cup!.inHand);
    expect(codes(many)).not.toContain('past-window');
    // Each mix leaves its own share in its vessel.
    expect(cup!.balance.vessel).toBeCloseTo(2 * sizes.length, 9);
  });

  it('are made when the vessel, the heat or the injector says so, and it is said which', () => {
    const slow = cards.bases.find((b) => b.id === 'clear-slow')!;
    const big: Plan = {
      ...withBase(lantern, slow.id),
      groups: [{ ...lantern.groups[0]!, count: 60 }]
    };
    expect(metricWords(of(big).cups[0]!.why ?? '')).toContain('110 °C');
    const sheet = { ...slow, safeMass: 100 } as Base;
    const careful = of(lantern, {}, { ...cards, bases: [{ ...sheet, id: 'clear-quick' } as Base] });
    expect(careful.cups[0]!.mixes).toHaveLength(2);
    expect(metricWords(careful.cups[0]!.why ?? '')).toContain('100 g');
    const small = of(atBench(shingle, { vesselIds: ['cup-300'] }));
    expect(metricWords(small.cups[0]!.why ?? '')).toContain('200 ml');
    expect(small.cups[0]!.mixes.every((m) => m.vessel?.id === 'cup-300')).toBe(true);
    const quick = {
      ...eel,
      steps: eel.steps.map((x) => ({ ...x, hands: { each: 0.01 } }))
    };
    const shots = of(applyEdit(quick, { path: ['groups', 0, 'count'], value: 44 }));
    expect(shots.cups[1]!.why).toMatch(/injector holds \d+ shots/);
  });

  it('follow the maker’s own number', () => {
    const two = applyEdit(tideline, { path: ['mixes', 'mix-heron', 'turns'], value: 2 });
    expect(of(two).cups[1]!.mixes.map((m) => m.pours[0]!.count)).toEqual([3, 3]);
  });
});
