import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { demoLots } from '../../../demo/lots';
import { tideline } from '../../../demo/plans';
import { figuresOf, type Plan } from '../plan';
import { shortageOf } from './shortage';
import { type Shelf } from '../shelf';

/** A shelf with one lot of so many grams of the base's part A. */
const shelf = (grams: number): Shelf => ({
  ...cards,
  lots: demoLots(0)
    .slice(0, 1)
    .map((l) => ({ ...l, grams, of: { kind: 'colourant', colourantId: 'brown-paste' }, boughtAt: 0 }))
});
const needs = (plan: Plan, grams: number) => ({
  planId: plan.id,
  name: plan.name,
  needs: figuresOf(plan, shelf(grams), { today: 1 }).needs
});
const ordered = (good: number): Plan => ({ ...tideline, order: { good, rejects: 0 } });
const brown = (plan: Plan) =>
  figuresOf(plan, shelf(1), { today: 1 }).needs.find((n) => n.key === 'colourant:brown-paste')!.inAll;

describe('what runs short over all open orders', () => {
  const one = ordered(30);
  const other: Plan = { ...ordered(60), id: 'second', name: 'A second order' };

  it('is what they need together, though the shelf covers each alone', () => {
    const [a, b] = [brown(one), brown(other)];
    expect(b).toBeCloseTo(2 * a, 6);
    const have = (a + b) * 0.9;
    expect(have).toBeGreaterThan(Math.max(a, b));
    const each = [needs(one, have), needs(other, have)];
    for (const order of each) expect(shortageOf([order])).toEqual([]);
    const [short] = shortageOf(each);
    expect(short).toMatchObject({ key: 'colourant:brown-paste', have });
    expect(short!.needed).toBeCloseTo(a + b, 6);
    expect(short!.orders.map((o) => o.planId)).toEqual([one.id, 'second']);
    expect(short!.orders.map((o) => o.grams)).toEqual([expect.closeTo(a, 6), expect.closeTo(b, 6)]);
  });

  it('is nothing where there is just enough, and says nothing of what no lot is kept of', () => {
    const have = brown(one) + brown(other);
    expect(shortageOf([needs(one, have), needs(other, have)])).toEqual([]);
    const bare: Shelf = { ...cards, lots: [] };
    const uncounted = { planId: one.id, name: one.name, needs: figuresOf(one, bare).needs };
    expect(shortageOf([uncounted, { ...uncounted, planId: 'second' }])).toEqual([]);
    expect(shortageOf([])).toEqual([]);
  });

  it('has the most lacking first', () => {
    const need = (key: string, inAll: number, have: number) => ({
      key,
      name: key,
      grams: inAll,
      inAll,
      have,
      short: false
    });
    const order = (planId: string) => ({
      planId,
      name: planId,
      needs: [need('a', 10, 15), need('b', 10, 5), need('c', 10, 100), need('d', 10, 0)]
    });
    expect(shortageOf([order('x'), order('y')]).map((s) => s.key)).toEqual(['d', 'b', 'a']);
  });
});
