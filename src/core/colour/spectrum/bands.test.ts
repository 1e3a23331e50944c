import { describe, expect, it } from 'vitest';
import { BANDS, WEIGHTS, WHITE_POINT } from './bands';

/** Chromaticity of each pure band from 380 nm on: the spectral locus of the 2° observer, as the CIE publishes it. */
const LOCUS = [
  [0.1741, 0.005],
  [0.1738, 0.0049],
  [0.1733, 0.0048],
  [0.1726, 0.0048],
  [0.1714, 0.0051],
  [0.1689, 0.0069],
  [0.1644, 0.0109],
  [0.1566, 0.0177],
  [0.144, 0.0297],
  [0.1241, 0.0578],
  [0.0913, 0.1327],
  [0.0454, 0.295],
  [0.0082, 0.5384],
  [0.0139, 0.7502],
  [0.0743, 0.8338],
  [0.1547, 0.8059],
  [0.2296, 0.7543],
  [0.3016, 0.6923],
  [0.3731, 0.6245],
  [0.4441, 0.5547],
  [0.5125, 0.4866],
  [0.5752, 0.4242],
  [0.627, 0.3725],
  [0.6658, 0.334],
  [0.6915, 0.3083],
  [0.7079, 0.292],
  [0.719, 0.2809],
  [0.726, 0.274],
  [0.73, 0.27],
  [0.732, 0.268],
  [0.7334, 0.2666],
  [0.7344, 0.2656],
  [0.7347, 0.2653],
  [0.7347, 0.2653],
  [0.7347, 0.2653],
  [0.7347, 0.2653]
] as const;

describe('the bands', () => {
  it('each lie on the spectral locus', () => {
    expect(WEIGHTS).toHaveLength(BANDS);
    for (const [i, [x, y, z]] of WEIGHTS.entries()) {
      const all = x + y + z;
      expect(x / all, `x at ${380 + 10 * i} nm`).toBeCloseTo(LOCUS[i]![0], 2);
      expect(y / all, `y at ${380 + 10 * i} nm`).toBeCloseTo(LOCUS[i]![1], 2);
    }
  });

  it('sum to the white of daylight', () => {
    const sum = [0, 1, 2].map((k) => WEIGHTS.reduce((s, w) => s + w[k]!, 0));
    expect(sum[0]).toBeCloseTo(0.9505, 4);
    expect(sum[1]).toBeCloseTo(1, 12);
    expect(sum[2]).toBeCloseTo(1.0891, 4);
    expect(WHITE_POINT).toEqual([expect.closeTo(0.95046, 4), 1, expect.closeTo(1.08906, 4)]);
  });

  it('weigh brightness as the eye does: most at 550 to 560 nm, half of it by 510 and 610', () => {
    const y = WEIGHTS.map((w) => w[1]);
    const at = (nm: number) => y[(nm - 380) / 10]!;
    expect(Math.max(...y)).toBeCloseTo(Math.max(at(550), at(560)), 12);
    expect(at(510) / at(550)).toBeCloseTo(0.52, 1);
    expect(at(610) / at(560)).toBeCloseTo(0.45, 1);
  });
});
