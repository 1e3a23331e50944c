import { times } from '../soak.testing';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans, shingle, tideline } from '../../../demo/plans';
import { PORTION } from '../batch';
import { formulaOf } from '../material';
import { computePlan, figuresOf, type Computed, type Plan } from '.';
import { atBench, mixed, withBase } from './plans.testing';

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
  cling: evenly(0, 0.2),
  vessel: evenly(0, 20),
  allowance: evenly(0, 0.3)
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
        { numRuns: times(4, 12) }
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

describe('chips in a cup, by a sum of their own', () => {
  const kinds = ['gypsum', 'concrete', 'resin'] as const;
  const baseOf = (kind: (typeof kinds)[number]) => cards.bases.find((b) => b.kind === kind)!;
  it.each(kinds)(
    'in %s take their share of the finished weight, and the body the rest in its own ratio',
    (kind) => {
      const base = baseOf(kind);
      const formula = formulaOf(base);
      if (!formula.ok) throw new Error(base.name);
      const { parts, density } = formula.value;
      fc.assert(
        fc.property(
          fc.integer({ min: 5, max: 55 }),
          fc.double({ min: 1.1, max: 3, noNaN: true }),
          fc.constantFrom('each' as const, 'split' as const),
          bench,
          (percent, chip, way, losses) => {
            const [cup] = shingle.cups;
            const chips = [{ id: 'chips', name: 'chips', percent, density: chip }];
            const plan = varied(
              mixed({ ...withBase(shingle, base.id), cups: [{ ...cup!, fillers: chips }] }, way),
              losses
            );
            const c = figuresOf(plan, cards);
            // 1/ρ = Σ w/ρ: what a millilitre of body and chips together weighs.
            const w = percent / 100;
            const together = 1 / (w / chip + (1 - w) / density);
            const ml = c.groups.reduce((s, g) => s + g.capacity * g.count, 0);
            const least = ml * together * (1 + losses.cling);
            const lines = c.cups.flatMap((x) => x.mixes).flatMap((m) => m.weighings).length + 4;
            const near = (lines * c.division) / 2 + 1e-6;
            const whole = c.totals.balance.mixed;
            expect(c.totals.balance.poured).toBeCloseTo(ml * together, 4);
            expect(whole).toBeGreaterThan(least - near);
            const chipGrams = c.totals.fillers.reduce((s, f) => s + f.grams, 0);
            // What stays in a common pot is plain: chips are a share of what is made in the cup.
            const inCup = c.cups.reduce((s, x) => s + x.balance.mixed, 0);
            expect(Math.abs(chipGrams - w * inCup)).toBeLessThan(2 * near);
            const body = whole - chipGrams;
            const grams = c.totals.parts.map((p) => p.grams);
            // Parts are rounded together, so that one may be off by a few steps of the scale: never by half a percent of the body.
            const off = Math.max(2 * near, 0.005 * body);
            parts.forEach((p, i) => expect(Math.abs(grams[i]! - p.share * body)).toBeLessThan(off));
          }
        ),
        { numRuns: times(10, 25) }
      );
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
      { numRuns: times(8, 20) }
    );
  });
});
