import { z } from 'zod';
import { LINE_BASES } from '../dosing';
import { Id, onlyOnce, Ref } from '../id';

/** The hatches that tell cups apart without colour. */
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

/** How far a cup's colour is stirred in: through, in a few strokes, or left unmixed on purpose. */
const MIXINGS = ['full', 'marbled', 'speckled'] as const;

/** Parts of carrier to one of colourant in a let-down: the usual strengths. */
export const LetDownParts = z.union([z.literal(9), z.literal(19), z.literal(49), z.literal(99)]);

/** One line of a cup's recipe. */
const RecipeLine = z.object({
  id: Id,
  colourantId: Ref,
  /** Percent of the material's basis (resin: of the mix before colour). */
  percent: z.number().nonnegative('cannot be less than nothing').max(100, 'cannot be over 100 %'),
  of: z.enum(['supplied', 'pigment']).default('supplied'),
  /** What the percentage is of; the material's own convention when absent. */
  basis: z.enum(LINE_BASES).optional(),
  /** How it is measured out; on the scale when absent. Drops and spoons need the colourant's card to know theirs. */
  by: z.enum(['scale', 'drops', 'spoon']).optional(),
  /** Approached by eye: where to start and the size of each step, as shares of the target. */
  creep: z.object({ start: z.number().min(0.05).max(1), step: z.number().min(0.02).max(0.5) }).optional(),
  /** Weighed as a let-down: this many parts of the base's own part to one of colourant. */
  letDown: LetDownParts.optional()
});

/** Chips or other solids in a cup: percent of the finished cup by weight. */
const FillerLine = z.object({
  id: Id,
  name: z.string().min(1, 'needs a name').max(60),
  percent: z.number().positive('must be more than nothing').max(80, 'leaves too little body to hold it'),
  density: z.number().min(0.05).max(9),
  /** The lot of leftovers it comes from. */
  lotId: Ref.optional()
});

/** What a cup is made from: a mix, or other cups by their shares of its volume (a swirl or a dirty cup). */
const From = z.union([
  z.object({ mix: Ref }),
  z.object({
    cups: z
      .array(z.object({ cupId: Ref, share: z.number().positive('must be more than nothing').max(1) }))
      .min(1, 'needs a cup')
      .max(12)
  })
]);

/** One coloured portion, with the letter and hatch it carries everywhere. */
export const Cup = z
  .object({
    id: Id,
    letter: z.string().regex(/^[A-Z]$/, 'must be one capital letter'),
    hatch: z.enum(HATCHES),
    name: z.string().min(1, 'needs a name').max(40),
    from: From,
    recipe: z.array(RecipeLine).max(12),
    /** Mix at least this much, g; what is not poured goes to the leftovers. */
    atLeast: z.number().positive().max(100_000).optional(),
    /** Uncoloured base to take out before the colour goes in, g. */
    reserve: z.number().positive('must be more than nothing').max(100_000).optional(),
    fillers: z.array(FillerLine).max(6).optional(),
    /** Its own fragrance, where that goes into the cups: of the material's basis, and how it behaves; the card's when absent. */
    fragrance: z
      .object({
        share: z.number().min(0).max(0.06, 'is over the usual cap of 6 %'),
        is: z.enum(['calm', 'quick', 'floral', 'thins'])
      })
      .optional(),
    /** How far its colour is stirred in; through when absent. */
    mixing: z.enum(MIXINGS).optional(),
    /** What a portion split from a mix stands in; the smallest that holds it when absent. */
    vesselId: Ref.optional()
  })
  .superRefine((cup, ctx) => onlyOnce([...cup.recipe, ...(cup.fillers ?? [])], ['recipe'], ctx));
export type Cup = z.infer<typeof Cup>;
export type RecipeLine = Cup['recipe'][number];

/** The mix that a cup is made from, or undefined where it is made from other cups. */
export const mixIdOf = (cup: Pick<Cup, 'from'>): string | undefined =>
  'mix' in cup.from ? cup.from.mix : undefined;

/**
 * A cup as it is spoken of: by its letter and its name, or by the name alone where that tells the letter.
 * @example lettered({ letter: 'B', name: 'heron' }) // 'B heron'
 */
export const lettered = ({ letter, name }: Pick<Cup, 'letter' | 'name'>): string =>
  name.split(' ').includes(letter) ? name : `${letter} ${name}`;
