import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, saltings, samphire, tideline } from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { computePlan } from './compute';
import { type Plan } from './read';

const rowOf = (plan: Plan) => computePlan(plan, cards).row;

describe('an order as a row of mixes', () => {
  it('of hooks in five moulds has every hook out inside its window', () => {
    const c = computePlan(samphire, cards);
    const row = c.row!;
    expect(row.castings).toBe(c.order!.cast);
    expect(row.mixes.reduce((s, m) => s + m.count, 0)).toBe(row.castings);
    expect(Math.max(...row.mixes.map((m) => m.count))).toBeLessThanOrEqual(5);
    expect(row.kept).toBe(true);
    const base = cards.bases.find((b) => b.id === 'acrylic-gypsum')!;
    for (const m of row.mixes) {
      expect(m.demouldAt - m.pouredBy).toBeGreaterThanOrEqual(base.demouldHours.from * 60 - 1e-9);
      expect(m.outBy - m.pouredBy).toBeLessThanOrEqual(base.demouldHours.to * 60 + 1e-9);
    }
  });

  it('counts castings, not bars: a slab of forty is one', () => {
    expect(rowOf(saltings)).toMatchObject({ castings: 1, cavities: 1 });
    expect(rowOf(applyEdit(saltings, { path: ['order', 'good'], value: 81 }))!.castings).toBe(3);
  });

  it('follows the time a cavity takes the hands', () => {
    const slow = applyEdit(samphire, { path: ['steps', 'lay-samphire', 'hands', 'each'], value: 2 });
    expect(rowOf(slow)!.mixes.length).toBeGreaterThan(rowOf(samphire)!.mixes.length);
    expect(rowOf(slow)!.gains.helper!.mixes).toBeLessThan(rowOf(slow)!.mixes.length);
  });

  it('is not said of layers that wait for one another, nor without an order', () => {
    expect(rowOf(tideline)).toBeUndefined();
    expect(rowOf({ ...rockpool, order: undefined } as never)).toBeUndefined();
  });
});
