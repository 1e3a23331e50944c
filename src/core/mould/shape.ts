import { z } from 'zod';

const mm = z.number().positive('must be more than zero').max(5000, 'is more than five metres');

/** The shapes a cavity can be given by its dimensions. Lengths in millimetres, mould face (z = 0) down. */
export const Shape = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('hemisphere'), radius: mm }),
  /** A whole ball, closed but for the hole it is filled through: a mould in two parts. */
  z.object({ kind: z.literal('ball'), radius: mm }),
  /** An egg on its blunt end, closed like a ball. */
  z.object({ kind: z.literal('egg'), radius: mm, depth: mm }),
  /** A cut stone on its point, filled through its table: a regular outline, its radii to the corners. */
  z.object({
    kind: z.literal('gem'),
    radius: mm,
    tableRadius: mm,
    depth: mm,
    /** Height from where it is widest to the table. */
    crown: mm,
    sides: z.number().int().min(3, 'needs three sides').max(24, 'must have at most 24 sides')
  }),
  z.object({ kind: z.literal('cap'), rimRadius: mm, depth: mm }),
  z.object({ kind: z.literal('cylinder'), radius: mm, depth: mm }),
  z.object({ kind: z.literal('frustum'), baseRadius: mm, rimRadius: mm, depth: mm }),
  z.object({
    kind: z.literal('taper'),
    baseLength: mm,
    baseWidth: mm,
    rimLength: mm,
    rimWidth: mm,
    depth: mm
  }),
  z.object({ kind: z.literal('box'), length: mm, width: mm, depth: mm }),
  z.object({ kind: z.literal('ring'), innerRadius: mm, outerRadius: mm, depth: mm }),
  z.object({
    kind: z.literal('prism'),
    outline: z
      .array(z.tuple([z.number(), z.number()]))
      .min(3, 'needs at least three corners')
      .max(500, 'must have at most 500 corners'),
    depth: mm
  }),
  z.object({
    kind: z.literal('table'),
    rows: z
      .array(z.object({ depth: z.number().nonnegative(), ml: z.number().nonnegative() }))
      .min(2)
      .max(500),
    width: mm.optional()
  })
]);
export type Shape = z.infer<typeof Shape>;
