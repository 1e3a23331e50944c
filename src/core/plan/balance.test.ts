import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans, tideline } from '../../../demo/plans';
import { PORTION } from '../batch';
import { formulaOf } from '../material';
import { computePlan, figuresOf, type Computed, type Plan } from '.';
import { atBench, mixed } from './plans.testing';

/** Everything that the scale is asked to weigh, added up line by line; portions of a mix are weighed once already. */
const weighed = (c: Computed): number =>
  [...c.common, ...c.cups.flatMap((cup) => cup.mixes)]
    .flatMap((mix) => mix.weighings)
    .filter((w) => w.key !== PORTION && w.key !== 'reserve')
    .reduce((sum, w) => sum + w.weight, 0);

/** What lies in the moulds by the drawing: the volume of each layer in each cavity, at its cup's density. */
const drawn = (c: Computed): number =>
  c.groups.reduce(
    (sum, g) =>
      sum +
      g.layers.reduce((s, l) => {
        const cup = c.cups.find((x) => x.cupId === l.cupId)!;
        return s + l.each * g.count * cup.density;
      }, 0),
    0
  );

const bench = fc.record({
  cling: fc.double({ min: 0, max: 0.2, noNaN: true }),
  vessel: fc.double({ min: 0, max: 20, noNaN: true }),
  allowance: fc.double({ min: 0, max: 0.3, noNaN: true })
});
const varied = (plan: Plan, losses: { cling: number; vessel: number; allowance: number }) =>
  atBench(plan, { losses: { typed: true, ...losses } });

describe('mass balance, by sums of its own', () => {
  it.each(plans.map((p) => [p.name, p] as const))(
    '%s: what is weighed is what the balance says',
    (_, plan) => {
      fc.assert(
        fc.property(bench, fc.constantFrom('as it is', 'each', 'split'), (losses, way) => {
          const whole = varied(way === 'as it is' ? plan : mixed(plan, way), losses);
          const c = figuresOf(whole, cards);
          expect(weighed(c)).toBeCloseTo(c.totals.balance.mixed, 6);
          const parts = [...c.totals.parts, ...c.totals.colourants, ...c.totals.fillers];
          // Enough for what the drawing holds and what clings, but for half a division a line.
          const lines = c.cups.flatMap((cup) => cup.mixes).flatMap((m) => m.weighings).length;
          expect(weighed(c)).toBeGreaterThan(drawn(c) * (1 + losses.cling) - (lines * c.division) / 2 - 1e-9);
          expect(parts.reduce((s, p) => s + p.grams, 0)).toBeCloseTo(weighed(c), 6);
        }),
        { numRuns: 12 }
      );
    }
  );

  it.each(plans.map((p) => [p.name, p] as const))(
    '%s: the pieces weigh what their layers hold',
    (_, plan) => {
      const c = computePlan(plan, cards);
      expect(drawn(c)).toBeCloseTo(c.totals.balance.poured, 6);
    }
  );
});

describe('a reserve taken out before the colour', () => {
  const [first] = tideline.cups;
  const withReserve = (grams: number): Plan => ({
    ...tideline,
    cups: tideline.cups.map((cup) => (cup === first ? { ...cup, reserve: grams } : cup))
  });

  const formula = formulaOf(cards.bases.find((b) => b.id === 'clear-quick')!);
  const shares = formula.ok ? formula.value.parts.map((p) => p.share) : [];

  it('is weighed on top, in the ratio of the parts, and stays uncoloured', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 40 }), (reserve) => {
        const before = computePlan(tideline, cards);
        const after = computePlan(withReserve(reserve), cards);
        expect(weighed(after) - weighed(before)).toBeCloseTo(reserve, 1);
        const grams = (c: Computed, key: string) =>
          c.cups[0]!.weighings.find((w) => w.key === key)?.exact ?? 0;
        const more = ['A', 'B'].map((key) => grams(after, key) - grams(before, key));
        expect(shares).toHaveLength(2);
        for (const [i, share] of shares.entries()) expect(more[i]! / reserve).toBeCloseTo(share, 6);
        expect(grams(after, first!.recipe[0]!.id)).toBeCloseTo(grams(before, first!.recipe[0]!.id), 9);
        expect(after.cups[0]!.balance.reserved).toBeCloseTo(reserve, 1);
      }),
      { numRuns: 20 }
    );
  });
});
