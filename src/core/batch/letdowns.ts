import {
  COLOUR_TOLERANCE,
  leastWeighing,
  LET_DOWN_SPARE,
  scaleFor,
  type Scale,
  weighingSpread
} from '../dosing';
import type { Formula } from '../material';
import type { Weighing } from './weighing';

/**
 * A let-down to make before the cups: for all its uses and a fifth more, and never so little that its own pigment
 * cannot be weighed. Grams.
 */
export interface PlannedLetDown {
  /** The base whose own part carries it. */
  baseId: string;
  colourantId: string;
  name: string;
  parts: number;
  /** What it is let down in. */
  carrierName: string;
  carrierKey: string;
  uses: number;
  make: number;
  colourant: number;
  carrier: number;
  /** Relative spread of weighing the colourant into it, and whether that is within tolerance. */
  spread: number;
  weighable: boolean;
  scaleId: string;
  division: number;
}

/** Gathers the let-downs that a plan's cups use, one for each colourant and strength. */
export function planLetDowns(
  weighings: readonly Weighing[],
  nameOf: (colourantId: string) => string,
  base: { id: string; formula: Formula },
  scales: readonly Scale[]
): PlannedLetDown[] {
  const wanted = new Map<string, { colourantId: string; parts: number; uses: number; make: number }>();
  for (const w of weighings) {
    if (!w.letDown || !w.colourantId) continue;
    const key = `${w.colourantId}|${w.letDown.parts}`;
    const before = wanted.get(key);
    wanted.set(key, {
      colourantId: w.colourantId,
      parts: w.letDown.parts,
      uses: (before?.uses ?? 0) + 1,
      make: (before?.make ?? 0) + w.exact * LET_DOWN_SPARE
    });
  }
  const carrier = base.formula.parts.find((p) => p.key === base.formula.letDownIn);
  const least = Math.min(...scales.map((s) => leastWeighing(s, COLOUR_TOLERANCE)));
  return [...wanted.values()].map(({ colourantId, parts, uses, make: used }) => {
    // Enough that its own pigment can be weighed, whatever the cups take: the rest keeps in its jar.
    const exact = Math.max(used / (parts + 1), least);
    const scale = scaleFor(exact, COLOUR_TOLERANCE, scales[0]!, scales);
    const colourant = Math.max(1, Math.ceil(exact / scale.division - 1e-9)) * scale.division;
    const make = colourant * (parts + 1);
    const spread = weighingSpread(scale, colourant);
    return {
      baseId: base.id,
      colourantId,
      name: nameOf(colourantId),
      parts,
      carrierName: carrier?.name ?? '',
      carrierKey: carrier?.key ?? '',
      uses,
      make,
      colourant,
      // The carrier follows the rounded colourant, so that the strength is kept.
      carrier: Math.round((colourant * parts) / scale.division) * scale.division,
      spread,
      weighable: spread <= COLOUR_TOLERANCE,
      scaleId: scale.id,
      division: scale.division
    };
  });
}
