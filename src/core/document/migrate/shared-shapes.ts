import { z } from 'zod';

/** Shapes that versions 1 and 2 of a plan share, as they were when those versions were written. Never changed. */

export const ID_PATTERN = /^[A-Za-z0-9][A-Za-z0-9_.-]{0,59}$/;
export const Id = z
  .string()
  .regex(ID_PATTERN, 'must be letters, digits, “-”, “_” or “.”, beginning with a letter or digit');
export const Ref = z.string().min(1, 'needs something to point to').max(80);

export const HATCHES = [
  'plain',
  'slant',
  'dots',
  'level',
  'back slant',
  'upright',
  'weave',
  'rings'
] as const;

export const LINE_BASES = ['own', 'batch', 'finished', 'binder'] as const;

const mm = z.number().positive('must be more than nothing').max(10_000, 'is more than ten metres');

/**
 * How much a layer takes in each cavity: so much more (millimetres, millilitres, a share of the capacity),
 * up to a level, to the rim, with a dome above it, or to the top of a zone of the cavity. Shares are fractions 0..1 of the cavity's capacity.
 */
export const Amount = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('deep'), mm }),
  z.object({
    kind: z.literal('volume'),
    ml: z.number().positive('must be more than nothing').max(1_000_000)
  }),
  z.object({ kind: z.literal('share'), of: z.number().positive('must be more than nothing').max(1) }),
  z.object({ kind: z.literal('to level'), mm }),
  z.object({ kind: z.literal('to share'), of: z.number().positive().max(1) }),
  z.object({ kind: z.literal('rim') }),
  z.object({ kind: z.literal('dome') }),
  z.object({ kind: z.literal('zone'), zoneId: z.string().min(1).max(60) })
]);

const height = z.number().nonnegative('cannot be below the mould face').max(5000, 'is more than five metres');

/**
 * Something solid that stands in a cavity and takes room from the pour: an object by its mass and density, or
 * a barrier line by its length, width and height. Heights in mm from the mould face.
 */
export const Embed = z.discriminatedUnion('kind', [
  z.object({
    id: Id,
    kind: z.literal('object'),
    name: z.string().min(1, 'needs a name').max(60),
    /** How many in one cavity. */
    each: z.number().int().positive().max(500),
    /** Grams of one, and its density in g/ml. */
    grams: z.number().positive().max(50_000),
    density: z.number().min(0.02, 'is lighter than cork').max(20, 'is heavier than lead'),
    /** Where its lowest point stands, and how high it is, mm. */
    from: height,
    height: z.number().positive().max(5000)
  }),
  z.object({
    id: Id,
    kind: z.literal('barrier line'),
    name: z.string().min(1, 'needs a name').max(60),
    length: z.number().positive().max(20_000),
    width: z.number().positive().max(500),
    height: z.number().positive().max(5000)
  })
]);
