import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { formatAmount, parseAmount, type Step } from '../document';
import { acts } from '../pour';
import { metricWords } from '../quantity';
import { figuresOf, type Plan } from '.';
import { withCups } from './plans.testing';

const [a, b] = ['a', 'b'].map((id, i) => ({
  id,
  name: id,
  letter: id.toUpperCase(),
  hatch: demo.tideline.cups[i]!.hatch,
  // So much of a heavy pigment that the cup is clearly denser than its resin.
  recipe: [{ id: `white-${i}`, colourantId: 'white-powder', percent: i ? 1 : 6, of: 'supplied' as const }]
}));
const groupId = demo.tideline.groups[0]!.id;
const pouring = (...acts: Record<string, unknown>[]): Plan => ({
  ...withCups(demo.tideline, [a!, b!]),
  groups: demo.tideline.groups.slice(0, 1),
  steps: acts.map((act, i): Step => ({
    id: `s${i}`,
    act: act as Step['act'],
    where: [groupId],
    gates: [],
    hands: { each: 0.2 }
  }))
});
const grams = (grams: number) => ({ kind: 'weight', grams });
/** g of each cup that go into all the cavities, by what its cup weighs out. */
const pouredOf = (plan: Plan) =>
  Object.fromEntries(figuresOf(plan, cards).cups.map((c) => [c.cupId, c.balance.poured]));

describe('an amount in grams', () => {
  it('is typed in any weight and said in grams', () => {
    const read = ['5 g', '0.005 kg', '5'].map((text) => parseAmount(text));
    expect(read.slice(0, 2)).toEqual([5, 5].map((g) => ({ ok: true, value: grams(g) })));
    expect(read[2]!.ok).toBe(false);
    expect(parseAmount('to 5 g').ok).toBe(false);
    expect(metricWords(formatAmount({ kind: 'weight', grams: 5 }))).toBe('5 g');
  });

  it('is that many grams of the coloured cup in each cavity, to the last digit', () => {
    const { count } = demo.tideline.groups[0]!;
    const plan = pouring(
      { kind: 'lay', cupId: 'a', amount: grams(1.5) },
      { kind: 'lay', cupId: 'b', amount: grams(2) }
    );
    const poured = pouredOf(plan);
    expect(poured.a).toBeCloseTo(1.5 * count, 9);
    expect(poured.b).toBeCloseTo(2 * count, 9);
  });

  it('is of both cups together where they are poured at once', () => {
    const { count } = demo.tideline.groups[0]!;
    const poured = pouredOf(
      pouring({
        kind: 'together',
        cupId: 'a',
        withId: 'b',
        first: 0.3,
        amount: grams(2),
        streams: 'into one stream'
      })
    );
    expect(poured.a! + poured.b!).toBeCloseTo(2 * count, 9);
  });

  it('is what is filled in again where so much was milled out', () => {
    const { count } = demo.tideline.groups[0]!;
    const refill = acts.find('region')!.fresh('a') as Record<string, unknown>;
    const poured = pouredOf(
      pouring(
        { kind: 'lay', cupId: 'b', amount: { kind: 'rim' } },
        { ...refill, edges: 'crisp', amount: grams(1.5) }
      )
    );
    expect(poured.a).toBeCloseTo(1.5 * count, 9);
  });

  it('is more or fewer millilitres as its cup gets lighter or heavier', () => {
    const plan = pouring({ kind: 'lay', cupId: 'a', amount: grams(2) });
    const ml = (p: Plan) => figuresOf(p, cards).groups[0]!.layers[0]!.each;
    const plain = { ...plan, cups: plan.cups.map((c) => ({ ...c, recipe: [] })) };
    expect(ml(plan)).toBeLessThan(ml(plain));
  });

  it('is refused past the rim as any other amount is', () => {
    const codes = figuresOf(pouring({ kind: 'lay', cupId: 'a', amount: grams(500) }), cards).problems.map(
      (p) => p.code
    );
    expect(codes).toContain('overfull');
  });
});
