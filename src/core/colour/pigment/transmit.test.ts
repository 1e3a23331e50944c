import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reflectanceOver } from './kubelka-munk';
import { filmPasses, litFromBehind, stackTransmittance } from './transmit';
import { BANDS } from '../spectrum/bands';

/** Evenly from nothing to a figure: doubles by chance are nearly all next to nothing. */
const upTo = (most: number) => fc.integer({ min: 0, max: 10_000 }).map((n) => (n / 10_000) * most);
// Thin and pale enough that most of them let something through.
const k = upTo(0.4);
const s = upTo(0.8);
const mm = upTo(4);
const flat = (k: number, s: number) => ({
  k: new Float64Array(BANDS).fill(k),
  s: new Float64Array(BANDS).fill(s)
});

describe('a film lit from behind', () => {
  it('by hand: K 0.2, S 0.5 and 2 mm let 31.7 % through', () => {
    // a = 1.4, b = √0.96 = 0.979796, x = 0.979796; T = b/(a·sinh x + b·cosh x)
    const t = 0.979796 / (1.4 * Math.sinh(0.979796) + 0.979796 * Math.cosh(0.979796));
    expect(filmPasses(0.2, 0.5, 2).t).toBeCloseTo(t, 6);
    expect(t).toBeCloseTo(0.317, 3);
  });

  it('sends back what the same film sends back over black, and never makes light', () => {
    fc.assert(
      fc.property(k, s, mm, (k, s, mm) => {
        const { r, t } = filmPasses(k, s, mm);
        expect(r).toBeCloseTo(reflectanceOver(k, s, mm, 0), 6);
        expect(t).toBeGreaterThanOrEqual(0);
        expect(r + t).toBeLessThanOrEqual(1 + 1e-9);
      })
    );
  });

  it('is the same in one piece or cut in two, and in either order of light', () => {
    fc.assert(
      fc.property(k, s, mm, upTo(1), k, s, (k, s, mm, share, k2, s2) => {
        const [whole] = stackTransmittance([{ optics: flat(k, s), mm }]);
        const [cut] = stackTransmittance([
          { optics: flat(k, s), mm: mm * share },
          { optics: flat(k, s), mm: mm * (1 - share) }
        ]);
        expect(cut).toBeCloseTo(whole!, 6);
        const two = [
          { optics: flat(k, s), mm },
          { optics: flat(k2, s2), mm: 1 }
        ];
        expect(stackTransmittance(two)[0]).toBeCloseTo(stackTransmittance(two.toReversed())[0]!, 6);
      })
    );
  });

  it('is darker the thicker it is, and as bright as a lamp where nothing is in the way', () => {
    const light = (mm: number) => litFromBehind([{ optics: flat(0.3, 0.6), mm }]).lab.l;
    expect(light(0)).toBeCloseTo(100, 0);
    expect([light(2) > light(5), light(5) > light(12), light(40) < 2]).toEqual([true, true, true]);
  });
});
