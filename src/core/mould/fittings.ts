import { z } from 'zod';
import { Id } from '../id';
import type { Geometry } from './slices';

const height = z.number().nonnegative().max(5000);

/** The skin of a full pour stands above the rim: area × height × shape factor (½ for a flat lens, 1 for a slab). */
export const Dome = z.object({
  mm: z.number().positive().max(20, 'is more than any skin holds'),
  factor: z.number().min(0.3).max(1)
});

/**
 * A jacket round a soft mould: how far it carries the wall above the mould's own rim, mm, and the share of the
 * free-standing capacity that it presses back (a soft mould bulges when it is measured without it).
 */
export const Jacket = z.object({
  mm: z.number().nonnegative().max(500),
  squeeze: z.number().min(0).max(0.3)
});

/** A chamber that removable dividers make, as a share of the cavity, 0..1. */
export const Chamber = z.object({
  id: Id,
  name: z.string().min(1, 'needs a name').max(40),
  share: z.number().positive().max(1)
});
export type Chamber = z.infer<typeof Chamber>;

/** A band of the cavity that is treated on its own, such as raised detail; heights in mm from the mould face. */
export const Zone = z.object({
  id: Id,
  name: z.string().min(1, 'needs a name').max(40),
  from: height,
  to: height
});
export type Zone = z.infer<typeof Zone>;

/** A geometry whose walls a jacket carries straight up above the rim, mm. */
export function raised(geometry: Geometry, mm: number): Geometry {
  if (mm <= 0) return geometry;
  const area = geometry.areaAt(geometry.depth);
  const own = geometry.volumeAt(geometry.depth);
  const depth = geometry.depth + mm;
  return {
    depth,
    volumeAt: (z) =>
      z <= geometry.depth
        ? geometry.volumeAt(z)
        : own + (area * (Math.min(z, depth) - geometry.depth)) / 1000,
    areaAt: (z) => geometry.areaAt(Math.min(z, geometry.depth)),
    halfWidthAt: (z) => geometry.halfWidthAt(Math.min(z, geometry.depth)),
    ...(geometry.widest === undefined ? {} : { widest: geometry.widest }),
    working: geometry.working
  };
}
