import { regular } from './closed-shapes';
import type { Point } from './polygon';
import type { Shape } from './shape';

/** A cavity's rim seen from above. */
export type Footprint =
  | { kind: 'round' }
  | { kind: 'ring'; inner: number }
  | { kind: 'rectangle'; aspect: number }
  | { kind: 'outline'; points: readonly Point[] };

/** The footprint of a shape: `aspect` is width over length, `inner` the hole's share of the outer radius. */
export function footprintOf(shape: Shape): Footprint {
  switch (shape.kind) {
    case 'taper':
      return { kind: 'rectangle', aspect: shape.rimWidth / shape.rimLength };
    case 'box':
      return { kind: 'rectangle', aspect: shape.width / shape.length };
    case 'gem':
      return { kind: 'outline', points: regular(shape.sides, shape.radius) };
    case 'prism':
      return { kind: 'outline', points: shape.outline };
    case 'ring':
      return { kind: 'ring', inner: shape.innerRadius / shape.outerRadius };
    default:
      return { kind: 'round' };
  }
}
