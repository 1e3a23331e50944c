import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bothReadings, formulaOf, idealDensity, type ResinCard } from '.';

const resin = (over: Partial<ResinCard>): ResinCard => ({
  kind: 'resin',
  id: 'r',
  name: 'Clear resin',
  ratio: { by: 'volume', a: 1, b: 1 },
  densityA: 1.16,
  densityB: 0.98,
  openMinutes: 60,
  stirMinutes: 3,
  demouldHours: { from: 8, to: 72 },
  fullCureHours: 72,
  depthLimit: 10,
  shelfMonths: 12,
  leastMix: 30,
  colour: '#f2efe6',
  cautions: [],
  source: '',
  ...over
});

describe('a ratio on a scale', () => {
  it.each([
    [1, 1, 1.16, 0.98, 54.21, 45.79, 1.07],
    [2, 1, 1.14, 0.96, 70.37, 29.63, 1.08],
    [3, 1, 1.12, 0.95, 77.96, 22.04, 1.0775]
  ])('%i:%i by volume', (a, b, densityA, densityB, weightA, weightB, mixed) => {
    const formula = formulaOf(resin({ ratio: { by: 'volume', a, b }, densityA, densityB }));
    if (!formula.ok) throw new Error(formula.problem.sentence);
    expect(formula.value.parts[0]!.share * 100).toBeCloseTo(weightA, 2);
    expect(formula.value.parts[1]!.share * 100).toBeCloseTo(weightB, 2);
    expect(formula.value.density).toBeCloseTo(mixed, 4);
  });

  it('refuses a volume ratio without densities, and says why', () => {
    const refused = formulaOf(resin({ densityB: undefined }));
    expect(!refused.ok && refused.problem.code).toBe('ratio-needs-densities');
    expect(!refused.ok && refused.problem.path).toMatch(/^shelf\/bases\/[^/]+\/densityB$/);
  });

  it('needs some density to turn millilitres into grams', () => {
    const weight = { by: 'weight', a: 100, b: 45 } as const;
    const none = formulaOf(resin({ ratio: weight, densityA: undefined, densityB: undefined }));
    expect(!none.ok && none.problem.code).toBe('density-missing');
    const measured = formulaOf(
      resin({ ratio: weight, densityA: undefined, densityB: undefined, densityMixed: 1.1 })
    );
    expect(measured.ok && measured.value.density).toBe(1.1);
  });

  it('reads the same by weight and by volume', () => {
    const some = evenly(0.6, 2.5);
    const parts = evenly(0.1, 10);
    fc.assert(
      fc.property(parts, parts, some, some, (a, b, densityA, densityB) => {
        const read = bothReadings(resin({ ratio: { by: 'volume', a, b }, densityA, densityB }));
        expect(read!.volume![0]).toBeCloseTo(a / b, 8);
        expect(read!.weight[0] + read!.weight[1]).toBeCloseTo(100, 8);
        const mixed = idealDensity([
          { weight: read!.weight[0], density: densityA },
          { weight: read!.weight[1], density: densityB }
        ]);
        expect(mixed).toBeGreaterThanOrEqual(Math.min(densityA, densityB) - 1e-9);
        expect(mixed).toBeLessThanOrEqual(Math.max(densityA, densityB) + 1e-9);
      })
    );
  });
});
