import { z } from 'zod';
import { fail, ok, type Result } from '../../../problem';
import { commonCard, density } from '../../card';
import { idealDensity, type Composition } from '../../formula';

/**
 * A two-part resin card; its open time is of 100 g in a cup. Densities g/ml.
 * Starting values are typical of the trade; the maker's own data sheet always wins.
 */
export const ResinCard = z.object({
  kind: z.literal('resin'),
  ...commonCard,
  ratio: z.object({
    by: z.enum(['weight', 'volume']),
    a: z.number().positive().max(100),
    b: z.number().positive().max(100)
  }),
  densityA: density.optional(),
  densityB: density.optional(),
  /** Measured density of the mixed resin; wins over ideal mixing. */
  densityMixed: density.optional(),
  fullCureHours: z.number().positive(),
  depthLimit: z.number().positive().max(500),
  /** Most that may stand mixed in one cup, g, where the data sheet says; else the cure model's peak decides. */
  safeMass: z.number().positive().max(100_000).optional()
});
export type ResinCard = z.infer<typeof ResinCard>;

/**
 * Resolves a resin card to parts by weight. A ratio by volume needs both densities:
 * w_A = aρ_A / (aρ_A + bρ_B). A mixed density is the measured one, else ideal mixing of the parts.
 */
export function resinFormula(base: ResinCard, path = `shelf/bases/${base.id}`): Result<Composition> {
  const { a, b, by } = base.ratio;
  const { densityA, densityB } = base;
  if (by === 'volume' && !(densityA && densityB)) {
    return fail({
      code: 'ratio-needs-densities',
      path: `${path}/${densityA ? 'densityB' : 'densityA'}`,
      sentence: `${base.name} mixes ${a}:${b} by volume, but a scale weighs. Without both densities the ratio cannot be weighed, and pieces stay soft.`,
      mend: 'Enter the densities of both parts from the data sheet, or weigh a measured volume of each.'
    });
  }
  const heavyA = by === 'volume' ? a * densityA! : a;
  const heavyB = by === 'volume' ? b * densityB! : b;
  const shareA = heavyA / (heavyA + heavyB);
  const parts = [
    { key: 'A', name: 'resin', share: shareA },
    { key: 'B', name: 'hardener', share: 1 - shareA }
  ];
  const mixed =
    base.densityMixed ??
    (densityA && densityB
      ? idealDensity([
          { weight: shareA, density: densityA },
          { weight: 1 - shareA, density: densityB }
        ])
      : undefined);
  if (!mixed) {
    return fail({
      code: 'density-missing',
      path: `${path}/densityMixed`,
      sentence: `${base.name} has no density, so millilitres cannot become grams.`,
      mend: 'Enter the mixed density, or the densities of both parts.'
    });
  }
  return ok({
    parts,
    density: mixed,
    basis: { of: 'batch', words: 'of the mix before colour' },
    carriers: { 'part A': 'A', 'part B': 'B' },
    letDownIn: 'A'
  });
}

/** The ratio in both readings: parts by weight per 100, and parts of A per one of B by volume. */
export function bothReadings(
  base: ResinCard
): { weight: [number, number]; volume?: [number, number] } | undefined {
  const formula = resinFormula(base);
  if (!formula.ok) return undefined;
  const shareA = formula.value.parts[0]!.share;
  const weight: [number, number] = [shareA * 100, (1 - shareA) * 100];
  if (!base.densityA || !base.densityB) return { weight };
  return { weight, volume: [shareA / base.densityA / ((1 - shareA) / base.densityB), 1] };
}
