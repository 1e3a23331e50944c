import { COLOUR_TOLERANCE, leastWeighing, LET_DOWN_SPARE, scaleFor, type Scale } from '../dosing';
import type { Formula } from '../material';
import type { Weighing } from './weighing';

/**
 * A let-down to make before the cups: for all its uses and a fifth more, never so little that its own pigment
 * cannot be weighed, and more where the maker wants a jar of it. Grams.
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
  /** What the cups of one pour take of it, and a fifth more, g. */
  used: number;
  /** The jar: made once, for as many pours as it lasts, g. */
  make: number;
  colourant: number;
  carrier: number;
  /** The least that can be made of it: its uses and a fifth more, and its pigment weighable, g. */
  least: number;
  scaleId: string;
  division: number;
}

/** Gathers the let-downs that a plan's cups use, one for each colourant and strength. */
export function planLetDowns(
  weighings: readonly Weighing[],
  nameOf: (colourantId: string) => string,
  base: { id: string; formula: Formula },
  bench: { scales: readonly Scale[]; wanted?: (colourantId: string, parts: number) => number | undefined }
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
  const carrierPart = base.formula.parts.find((p) => p.key === base.formula.letDownIn);
  const { scales } = bench;
  const weighable = Math.min(...scales.map((s) => leastWeighing(s, COLOUR_TOLERANCE)));
  // The whole jar stands on its scale: one that ends below it is no scale for it.
  const pigment = (grams: number, parts: number) => {
    const holding = scales.filter((s) => s.capacity >= grams * (parts + 1));
    const [own] = holding.length ? holding : scales;
    const scale = scaleFor(grams, COLOUR_TOLERANCE, own!, holding.length ? holding : scales);
    return { scale, grams: Math.max(1, Math.ceil(grams / scale.division - 1e-9)) * scale.division };
  };
  return [...wanted.values()].map(({ colourantId, parts, uses, make: used }) => {
    // Enough that its own pigment can be weighed, whatever the cups take: the rest keeps in its jar.
    const least = Math.max(used / (parts + 1), weighable);
    const asked = (bench.wanted?.(colourantId, parts) ?? 0) / (parts + 1);
    const { scale, grams: colourant } = pigment(Math.max(least, asked), parts);
    // The carrier follows the rounded colourant, so that the strength is kept.
    const carrier = Math.round((colourant * parts) / scale.division) * scale.division;
    return {
      baseId: base.id,
      colourantId,
      name: nameOf(colourantId),
      parts,
      carrierName: carrierPart?.name ?? '',
      carrierKey: carrierPart?.key ?? '',
      uses,
      used,
      make: colourant + carrier,
      least: pigment(least, parts).grams * (parts + 1),
      colourant,
      carrier,
      scaleId: scale.id,
      division: scale.division
    };
  });
}
