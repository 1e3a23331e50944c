import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Colourant, Formula } from '../material';
import {
  calibrateDrop,
  correctMix,
  dropsWeigh,
  leastWeighing,
  proposedLetDowns,
  roundParts,
  shareError,
  weighCup,
  weighingSpread,
  type Scale
} from '.';

const fine: Scale = { id: 's', name: 'fine', division: 0.01, repeatability: 0.01, capacity: 300 };
const oneToOne: Formula = {
  parts: [
    { key: 'A', name: 'resin', share: 0.5420561 },
    { key: 'B', name: 'hardener', share: 0.4579439 }
  ],
  density: 1.07,
  basis: { of: 'batch', words: 'of the mix before colour' },
  clockPart: 'B',
  carriers: { 'part A': 'A', 'part B': 'B' },
  letDownIn: 'A'
};
const white: Colourant = {
  id: 'w',
  name: 'white paste',
  form: 'paste',
  pigmentFraction: 0.6,
  carrier: 'part B',
  colour: '#ffffff',
  strength: 1,
  notes: ''
};

describe('what a scale can weigh', () => {
  it('gives the worked spreads', () => {
    expect(weighingSpread(fine, 1)).toBeCloseTo(0.01041, 5);
    expect(weighingSpread(fine, 0.06)).toBeCloseTo(0.17, 2);
    expect(weighingSpread(fine, 0.21)).toBeCloseTo(0.0496, 4);
    expect(leastWeighing(fine)).toBeLessThan(0.21);
    expect(leastWeighing(fine)).toBeGreaterThan(0.2);
  });

  it('proposes the worked let-down', () => {
    const [strongest, ...weaker] = proposedLetDowns(0.06, fine);
    expect(strongest).toEqual({ parts: 9, dose: expect.closeTo(0.6, 9) });
    expect(weighingSpread(fine, strongest!.dose)).toBeCloseTo(0.017, 3);
    expect(weaker.map((l) => l.parts)).toEqual([19, 49, 99]);
    // A dose that nine parts bring short of the tolerance takes nineteen.
    expect(proposedLetDowns(0.015, fine)[0]!.parts).toBe(19);
  });

  it('gives up where no let-down helps', () => {
    expect(proposedLetDowns(0.0001, fine)).toEqual([]);
  });

  it('counts drops', () => {
    const drop = calibrateDrop(20, 0.84, 0.01);
    expect(drop.grams).toBeCloseTo(0.042, 6);
    expect(drop.error).toBeLessThan(0.0002);
    expect(dropsWeigh(12, drop.grams)).toBeCloseTo(0.504, 6);
  });
});

describe('a cup mixed on its own', () => {
  it('counts a paste’s carrier as the part it is', () => {
    const dose = { colourant: white, percent: 0.8, of: 'pigment' as const };
    const cup = weighCup(oneToOne, [dose], 60.48);
    expect(cup.batch).toBeCloseTo(60, 6);
    expect(cup.colourants[0]!.grams).toBeCloseTo(0.8, 6);
    expect(cup.parts[0]!.grams).toBeCloseTo(32.523, 3);
    expect(cup.parts[1]!.grams).toBeCloseTo(27.157, 3);
    const rounded = roundParts(
      cup.parts.map((p) => p.grams),
      0.01,
      cup.parts.map((p) => p.fromCarriers)
    );
    expect(rounded.weights).toEqual([32.52, 27.16]);
  });

  it('adds up to what was asked and keeps the ratio, whatever the recipe', () => {
    const doses = fc.array(
      fc.record({
        percent: evenly(0, 6),
        of: fc.constantFrom('supplied' as const, 'pigment' as const),
        colourant: fc.record({
          ...Object.fromEntries(Object.entries(white).map(([k, v]) => [k, fc.constant(v)])),
          pigmentFraction: evenly(0.2, 1),
          carrier: fc.constantFrom('none', 'part A', 'part B', 'water')
        }) as unknown as fc.Arbitrary<Colourant>
      }),
      { maxLength: 4 }
    );
    fc.assert(
      fc.property(doses, fc.double({ min: 5, max: 5000, noNaN: true }), (recipe, total) => {
        const cup = weighCup(oneToOne, recipe, total);
        const sum =
          cup.parts.reduce((s, p) => s + p.grams, 0) + cup.colourants.reduce((s, c) => s + c.grams, 0);
        expect(sum).toBeCloseTo(total, 8);
        const [a, b] = cup.parts.map((p) => p.grams + p.fromCarriers) as [number, number];
        expect(a / b).toBeCloseTo(0.5420561 / 0.4579439, 8);
      })
    );
  });
});

describe('rounding to the scale', () => {
  it('gives the worked gypsum cups', () => {
    expect(roundParts([165.3714, 413.4286], 0.01).weights).toEqual([165.37, 413.43]);
    expect(roundParts([163.387, 408.467], 0.01).weights).toEqual([163.39, 408.46]);
  });

  it('keeps the sum nearest, every weight on the scale, and no other split better', () => {
    const part = fc.double({ min: 2, max: 500, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 2, maxLength: 4 }),
        fc.constantFrom(0.01, 0.1, 1),
        (exact, d) => {
          const { weights, ratioError } = roundParts(exact, d);
          const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);
          expect(Math.abs(sum(weights) - sum(exact))).toBeLessThanOrEqual(d / 2 + 1e-6);
          weights.forEach((w, i) => {
            expect(Math.abs(w / d - Math.round(w / d))).toBeLessThan(1e-6);
            expect(Math.abs(w - exact[i]!)).toBeLessThanOrEqual(d + 1e-6);
          });
          for (let i = 0; i < weights.length; i++) {
            for (let j = 0; j < weights.length; j++) {
              if (i === j) continue;
              const other = weights.map((w, k) => w + (k === i ? d : k === j ? -d : 0));
              if (other.every((w, k) => Math.abs(w - exact[k]!) < d - 1e-6))
                expect(shareError(other, exact)).toBeGreaterThanOrEqual(ratioError - 1e-9);
            }
          }
        }
      )
    );
  });
});

describe('an overshoot', () => {
  it('gives the worked figures', () => {
    const after = correctMix([
      { key: 'A', target: 54.2, actual: 58.9 },
      { key: 'B', target: 45.8 },
      { key: 'c', target: 1.5 }
    ]);
    expect(after.scale).toBeCloseTo(1.08672, 5);
    expect(after.targets[1]!.target).toBeCloseTo(49.77, 2);
    expect(after.targets[2]!.target).toBeCloseTo(1.63, 2);
    expect(after.surplus).toBeCloseTo(8.8, 2);
  });

  it('keeps the ratio and never asks to take out', () => {
    const g = fc.double({ min: 1, max: 500, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(g, fc.option(g, { nil: undefined })), { minLength: 2 }), (pairs) => {
        const weighings = pairs.map(([target, actual], i) => ({ key: String(i), target, actual }));
        const after = correctMix(weighings);
        after.targets.forEach((t, i) => {
          expect(t.target / weighings[i]!.target).toBeCloseTo(after.scale, 8);
          const had = weighings[i]!.actual;
          if (had !== undefined) expect(had + t.topUp).toBeGreaterThanOrEqual(t.target - 1e-9);
        });
      })
    );
  });
});
