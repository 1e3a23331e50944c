import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { tideline } from '../../../demo/plans';
import type { Plan } from '../document';
import { figuresOf } from '../plan';
import { atBench } from '../plan/plans.testing';
import { poursInAll } from './needs';

const six = atBench({ ...tideline, order: { good: 6, rejects: 0 } }, {});
const wanting = (good: number): Plan => ({ ...six, order: { good, rejects: 0 } });
const need = (plan: Plan, key: RegExp) => figuresOf(plan, cards).needs.find((n) => key.test(n.key))!;

describe('what a whole order takes', () => {
  it('counts the last pour as full as it is', () => {
    const order = (good: number) => figuresOf(wanting(good), cards).order!;
    expect(poursInAll(order(6))).toBe(1);
    expect(poursInAll(order(12))).toBe(2);
    expect(poursInAll(order(15))).toBe(2.5);
    // Fewer than a pour are one pour all the same.
    expect(poursInAll(order(4))).toBe(1);
    expect(poursInAll(undefined)).toBe(1);
    const { grams, inAll } = need(wanting(15), /^part:clear-quick:A/);
    expect(inAll).toBeCloseTo(2.5 * grams, 9);
  });

  it('makes a let-down’s jar once, and more of it only where the pours take more than it holds', () => {
    const line = six.cups.find((c) => c.id === 'mudflat')!.recipe[0]!;
    const letDown = (good: number): Plan => ({
      ...wanting(good),
      cups: six.cups.map((c) => ({ ...c, recipe: c.id === 'mudflat' ? [{ ...line, letDown: 9 }] : [] }))
    });
    const jarOf = (good: number) => figuresOf(letDown(good), cards).letDowns[0]!;
    const { make, used, colourant } = jarOf(6);
    const key = new RegExp(`^colourant:${line.colourantId}$`);
    const asked = make * 5;
    const jar = (good: number): Plan => ({
      ...letDown(good),
      letDowns: [{ id: 'jar', colourantId: line.colourantId, parts: 9, make: asked }]
    });
    // Three pours take less than a jar of that size holds: it is made once.
    expect(3 * used).toBeLessThan(asked);
    expect(need(jar(18), key).inAll).toBeCloseTo(need(jar(6), key).inAll, 9);
    const pours = 40;
    expect(need(letDown(6 * pours), key).inAll).toBeCloseTo((colourant * pours * used) / make, 6);
  });

  it('weighs no jar on a scale that ends below it', () => {
    const line = six.cups.find((c) => c.id === 'mudflat')!.recipe[0]!;
    const small = { ...cards.scales[0]!, id: 'small', division: 0.01, capacity: 5 };
    const large = { ...cards.scales[0]!, id: 'large', division: 0.1, capacity: 3000 };
    const plan: Plan = {
      ...six,
      bench: { ...six.bench, scaleIds: ['small', 'large'] },
      cups: six.cups.map((c) => (c.id === 'mudflat' ? { ...c, recipe: [{ ...line, letDown: 49 }] } : c))
    };
    const [jar] = figuresOf(plan, { ...cards, scales: [small, large] }).letDowns;
    expect(jar!.make).toBeGreaterThan(5);
    expect(jar!.scaleId).toBe('large');
  });
});
