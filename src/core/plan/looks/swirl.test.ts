import { evenly } from '../../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PouredLayer } from '../fill';
import type { Palette } from './looks';
import { swirlShares, wetRuns } from './swirl';

const layer = (cupId: string, each: number, from: number, to: number): PouredLayer => ({
  stepId: `lay-${cupId}-${from}`,
  pourId: `lay-${cupId}-${from}`,
  cupId,
  each,
  from,
  to,
  fromMl: 0,
  toMl: each
});
/** Cups by their lightness and the thickness at which they hide, mm. */
const palette = (cups: Record<string, [l: number, hides: number]>): Palette =>
  ({
    looks: new Map(Object.entries(cups).map(([id, [l]]) => [id, { own: { lab: { l, a: 0, b: 0 } } }])),
    hides: new Map(Object.entries(cups).map(([id, [, h]]) => [id, h]))
  }) as unknown as Palette;
const thin = () => true;
const shares = (run: PouredLayer[], p: Palette, is = thin) => Object.fromEntries(swirlShares(run, p, is));

describe('what was fluid together', () => {
  it('ends at each gate', () => {
    const layers = ['a', 'b', 'c', 'd'].map((id, i) => layer(id, 1, i, i + 1));
    const ids = (runs: PouredLayer[][]) => runs.map((r) => r.map((l) => l.cupId).join(''));
    expect(ids(wetRuns(layers, () => false))).toEqual(['abcd']);
    expect(ids(wetRuns(layers, (l) => l.cupId === 'c'))).toEqual(['ab', 'cd']);
    expect(ids(wetRuns(layers, () => true))).toEqual(['a', 'b', 'c', 'd']);
    expect(wetRuns([], () => false)).toEqual([]);
  });
});

describe('the shares of a swirl', () => {
  const white = layer('white', 25, 0, 2.5);
  const blue = layer('blue', 75, 2.5, 10);

  it('are volumes, save for a white in a thin fluid that hides in less than its share', () => {
    const p = palette({ white: [95, 2], blue: [40, 3] });
    // v = 1/4 of 10 mm: 2.5 mm of it hides 1.25 times over; at random that covers 1 − e^−1.25.
    expect(shares([white, blue], p)).toEqual({
      white: expect.closeTo(1 - Math.exp(-1.25), 9),
      blue: expect.closeTo(Math.exp(-1.25), 9)
    });
    expect(shares([white, blue], p, () => false)).toEqual({ white: 0.25, blue: 0.75 });
    // Not white, or hiding nowhere: volumes again.
    expect(shares([white, blue], palette({ white: [81, 2], blue: [40, 3] })).white).toBeCloseTo(0.25, 9);
    expect(shares([white, blue], palette({ white: [95, Infinity], blue: [40, 3] })).white).toBeCloseTo(
      0.25,
      9
    );
  });

  it('give a white no less than its volume, and never all of the face', () => {
    expect(shares([white, blue], palette({ white: [95, 50], blue: [40, 3] })).white).toBeCloseTo(0.25, 9);
    expect(shares([white, blue], palette({ white: [95, 0.01], blue: [40, 3] })).white).toBeCloseTo(0.95, 9);
  });

  it('leave a white that is poured last where it is put', () => {
    const p = palette({ white: [95, 2], blue: [40, 3] });
    const top = layer('white', 25, 7.5, 10);
    const under = layer('blue', 75, 0, 7.5);
    expect(shares([under, top], p).white).toBeCloseTo(0.25, 9);
    // Poured below as well, it is in the swirl.
    expect(shares([layer('white', 5, 0, 0.5), layer('blue', 70, 0.5, 7.5), top], p).white).toBeGreaterThan(
      0.3
    );
  });

  it('are between none and all of it, and come to the whole', () => {
    const cup = fc.record({
      ml: evenly(0.1, 500),
      l: evenly(0, 100),
      hides: evenly(0.05, 80)
    });
    fc.assert(
      fc.property(fc.array(cup, { minLength: 1, maxLength: 6 }), (cups) => {
        const run = cups.map((c, i) => layer(`c${i}`, c.ml, i * 3, i * 3 + 3));
        const found = swirlShares(
          run,
          palette(Object.fromEntries(cups.map((c, i) => [`c${i}`, [c.l, c.hides]]))),
          thin
        );
        expect([...found.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        for (const s of found.values()) {
          expect(s).toBeGreaterThanOrEqual(0);
          expect(s).toBeLessThanOrEqual(1 + 1e-12);
        }
      })
    );
  });
});
