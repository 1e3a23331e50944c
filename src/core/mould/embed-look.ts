import { z } from 'zod';

/** The outlines that a thing can be given without drawing one, as it lies flat. */
export const THING_OUTLINES = ['round', 'disc', 'flower', 'leaf', 'shard', 'thread'] as const;

const Hex = z.string().regex(/^#[0-9a-f]{6}$/i, 'must be a colour such as #4a6b7c');
const Corner = z.tuple([z.number(), z.number()]);

/** What a thing that is set in looks like: its outline, how it lies, and its colours. */
export const EmbedLook = z.object({
  /** One of the usual outlines, or its corners about any middle, in any unit: its size comes from its weight and height. */
  outline: z.union([
    z.enum(THING_OUTLINES),
    z.array(Corner).min(3, 'needs at least three corners').max(200, 'must have at most 200 corners')
  ]),
  /** Flat on its widest side, or stood up on its edge. */
  lies: z.enum(['flat', 'on edge']).default('flat'),
  /** Its colour, and that of its middle or its rib. */
  colours: z.array(Hex).min(1).max(2).default(['#d9b8a0'])
});
export type EmbedLook = z.infer<typeof EmbedLook>;
export type ThingOutline = EmbedLook['outline'];

/** Petals of a flower. */
const PETALS = 5;
/** How wide a leaf and a thread are beside their length. */
const [LEAF, THREAD] = [0.42, 0.06];
/** A chip as it breaks: no two sides alike. */
const SHARD = [
  [1, 0.12],
  [0.3, 0.72],
  [-0.62, 0.58],
  [-0.86, -0.36],
  [0.26, -0.7]
] as const;

/** How far an outline is from its middle in a direction, radians from the right; in a unit of its own. */
export function outlineRadius(outline: ThingOutline): (angle: number) => number {
  if (typeof outline !== 'string') return cornersRadius(outline);
  switch (outline) {
    case 'flower':
      return (a) => 0.52 + 0.48 * Math.abs(Math.cos((PETALS / 2) * a)) ** 0.8;
    case 'leaf':
      return leafRadius;
    case 'shard':
      return cornersRadius(SHARD);
    case 'thread':
      return (a) => slabRadius(a, THREAD);
    default:
      return () => 1;
  }
}

/** Whether an outline has a rib along it, rather than a middle. */
export const isRibbed = (outline: ThingOutline): boolean => outline === 'leaf' || outline === 'thread';

/** |y| = w(1 − x²) as a radius: a leaf, pointed at both ends. */
function leafRadius(angle: number): number {
  const [c, s] = [Math.cos(angle), Math.abs(Math.sin(angle))];
  const a = LEAF * c * c;
  return a < 1e-9 ? LEAF / s : (Math.sqrt(s * s + 4 * LEAF * a) - s) / (2 * a);
}

/** A long thing with blunt ends, so wide beside its length: |x|⁶ + |y/w|⁶ = 1. */
export const slabRadius = (angle: number, wide: number): number =>
  (Math.cos(angle) ** 6 + (Math.sin(angle) / wide) ** 6) ** (-1 / 6);

/** A closed line of corners about its centre of area; where it folds back, as far as it reaches. */
function cornersRadius(corners: readonly (readonly [number, number])[]): (angle: number) => number {
  const [mx, my] = centreOf(corners);
  const sides = corners.map(([x, y], i) => {
    const [x2, y2] = corners[(i + 1) % corners.length]!;
    return { x: x - mx, y: y - my, dx: x2 - x, dy: y2 - y };
  });
  const least = 1e-3 * Math.max(...sides.map((s) => Math.hypot(s.x, s.y)));
  return (angle) => {
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    return sides.reduce((far, side) => {
      const across = c * side.dy - s * side.dx;
      const t = (s * side.x - c * side.y) / across;
      const r = (side.x * side.dy - side.y * side.dx) / across;
      return across !== 0 && t >= 0 && t <= 1 ? Math.max(far, r) : far;
    }, least);
  };
}

/** The centre of area of a polygon; of one without area, the mean of its corners. */
function centreOf(corners: readonly (readonly [number, number])[]): [number, number] {
  let [area, x, y] = [0, 0, 0];
  corners.forEach(([x1, y1], i) => {
    const [x2, y2] = corners[(i + 1) % corners.length]!;
    const turn = x1 * y2 - x2 * y1;
    area += turn / 2;
    x += ((x1 + x2) * turn) / 6;
    y += ((y1 + y2) * turn) / 6;
  });
  if (Math.abs(area) > 1e-9) return [x / area, y / area];
  const mean = (i: 0 | 1) => corners.reduce((s, p) => s + p[i], 0) / corners.length;
  return [mean(0), mean(1)];
}
