import { COLOUR_TOLERANCE, LET_DOWN_SPARE, weighingSpread, type Scale } from '../dosing';
import type { Formula } from '../material';
import type { Weighing } from './cup';

/** A let-down to make before the cups: for all its uses and a fifth more, weighed like everything else. Grams. */
export interface PlannedLetDown {
  colourantId: string;
  name: string;
  parts: number;
  /** What it is let down in. */
  carrierName: string;
  uses: number;
  make: number;
  colourant: number;
  carrier: number;
  /** Relative spread of weighing the colourant into it, and whether that is within tolerance. */
  spread: number;
  weighable: boolean;
}

/** Gathers the let-downs that a plan's cups use, one for each colourant and strength. */
export function planLetDowns(
  cups: readonly { weighings: readonly Weighing[] }[],
  nameOf: (colourantId: string) => string,
  formula: Formula,
  scale: Scale
): PlannedLetDown[] {
  const found = new Map<string, PlannedLetDown>();
  const carrierName = formula.parts.find((p) => p.key === formula.letDownIn)?.name ?? '';
  for (const w of cups.flatMap((c) => c.weighings)) {
    if (!w.letDown || !w.colourantId) continue;
    const key = `${w.colourantId}|${w.letDown.parts}`;
    const before = found.get(key);
    const make = (before?.make ?? 0) + w.exact * LET_DOWN_SPARE;
    const colourant = Math.round(make / (w.letDown.parts + 1) / scale.division) * scale.division;
    const spread = weighingSpread(scale, colourant);
    found.set(key, {
      colourantId: w.colourantId,
      name: nameOf(w.colourantId),
      parts: w.letDown.parts,
      carrierName,
      uses: (before?.uses ?? 0) + 1,
      make,
      colourant,
      // The carrier follows the rounded colourant, so that the strength is kept.
      carrier: Math.round((colourant * w.letDown.parts) / scale.division) * scale.division,
      spread,
      weighable: spread <= COLOUR_TOLERANCE
    });
  }
  return [...found.values()];
}
