import type { CupDose } from '../batch';
import { isWhite } from '../colour';
import type { Pace } from '../cure';
import type { Mix } from '../document';
import { materials, type Base } from '../material';

/**
 * What makes a whole mix run ahead of its card or lag behind it: what its material knows (fragrance, sugars and the blender in
 * a soap), and the maker’s own figure in any material (a retarder, hard water).
 */
export function mixPaces(mix: Mix, base: Base): Pace[] {
  const own =
    mix.pace === undefined || Math.abs(mix.pace - 1) < 0.005
      ? []
      : [{ factor: mix.pace, why: 'your own figure' }];
  return [...(materials.of(base).paces?.(base, mix) ?? []), ...own];
}

/** What a cup’s own colour does to its time: white thickens a soap batter first. */
export function colourPaces(base: Base, doses: readonly CupDose[]): Pace[] {
  const white = doses.filter((d) => isWhite(d.colourant)).reduce((s, d) => s + d.percent, 0);
  return materials.of(base).whitePaces?.(white) ?? [];
}
