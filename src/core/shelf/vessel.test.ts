import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HEADROOM, Vessel, vesselFor } from '.';

const vessel = (id: string, ml: number): Vessel => ({ id, name: id, ml, loss: 2 });
const rack = [vessel('bucket', 3000), vessel('cup', 300), vessel('thimble', 30)];

describe('a vessel', () => {
  it('is the smallest that leaves a third free to stir', () => {
    expect(HEADROOM).toBeCloseTo(1 / 3, 12);
    expect(vesselFor(20, rack)!.id).toBe('thimble');
    expect(vesselFor(20.01, rack)!.id).toBe('cup');
    expect(vesselFor(200, rack)!.id).toBe('cup');
    expect(vesselFor(200.01, rack)!.id).toBe('bucket');
    expect(vesselFor(2000.1, rack)).toBeUndefined();
    expect(vesselFor(1, [])).toBeUndefined();
  });

  it('holds what it is chosen for, and no smaller one would', () => {
    const ml = fc.double({ min: 1, max: 3000, noNaN: true });
    fc.assert(
      fc.property(fc.array(ml, { minLength: 1, maxLength: 8 }), ml, (sizes, wanted) => {
        const all = sizes.map((s, i) => vessel(`v${i}`, s));
        const found = vesselFor(wanted, all);
        const fits = all.filter((v) => v.ml * (2 / 3) >= wanted - 1e-9);
        expect(found?.ml).toBe(fits.length ? Math.min(...fits.map((v) => v.ml)) : undefined);
      })
    );
  });

  it.each([
    [{ ml: 0 }, false],
    [{ ml: 200_000 }, true],
    [{ ml: 200_001 }, false],
    [{ loss: 0 }, true],
    [{ loss: -0.1 }, false],
    [{ loss: 500 }, true],
    [{ loss: 500.1 }, false],
    [{ name: '' }, false],
    [{ name: 'x'.repeat(60) }, true],
    [{ name: 'x'.repeat(61) }, false]
  ])('%j is taken: %s', (over, taken) => {
    expect(Vessel.safeParse({ ...vessel('cup', 300), ...over }).success).toBe(taken);
  });
});
