import { evenPlace } from '../evenly';
import type { Spot } from '../spot';
import { chipField } from './chips';
import type { VeinRoom } from './field';
import { speckField } from './specks';

/** A cup that is not one colour: in veins after a few strokes, in specks that were left as they fell, or with chips in it. */
export type Unstirred = 'marbled' | 'speckled' | 'chips';

/** What it is made of: matter and share, the body first; shares sum to 1. */
export interface VeinPart {
  matter: number;
  share: number;
}

/** Points by which the width of veins is set so that each part's share is exact. */
const POINTS = 6_000;

/**
 * The matter at each place of an unstirred cup as it was laid. Specks of all sizes in clusters, drawn out by the strokes
 * the cup was given: long and thin where they came early, shorter where they came late. Each part is where its field is
 * below the quantile of its share, so shares are exact whatever the field.
 */
export function veined(
  kind: Unstirred,
  parts: readonly VeinPart[],
  room: VeinRoom,
  seed: number
): (spot: Spot) => number {
  const [body, ...others] = [...parts].sort((a, b) => b.share - a.share);
  const points = pointsIn(room, seed);
  let left = points;
  const veins = others.map(({ matter, share }, i) => {
    const field = (kind === 'chips' ? chipField : speckField(kind))(room, seed + 7919 * (i + 1));
    const values = Float64Array.from(left, field.at);
    const limit = values.slice().sort()[Math.min(values.length - 1, Math.round(share * points.length))];
    if (limit === undefined) return { matter, isIn: () => false };
    left = left.filter((_, j) => values[j]! >= limit);
    return { matter, isIn: field.below(limit) };
  });
  return (spot) => {
    for (const vein of veins) if (vein.isIn(spot)) return vein.matter;
    return body!.matter;
  };
}

/** Points that fill the room evenly: far nearer to its shares than as many thrown at random. */
function pointsIn({ width, length, low, high, contains }: VeinRoom, seed: number): Spot[] {
  const spots: Spot[] = [];
  for (let i = seed % 1000; spots.length < POINTS && i < (seed % 1000) + 20 * POINTS; i++) {
    const [u, v, w] = evenPlace(i);
    const [x, y] = [width * (2 * u - 1), length * (2 * v - 1)];
    if (contains(x, y)) spots.push({ x, y, z: low + w * (high - low) });
  }
  return spots;
}
