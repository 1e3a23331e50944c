import { z } from 'zod';

/** What the record teaches a plan: what clings, how long the hands take, how many pieces are rejected. */
const LEARNED = ['clings', 'hands', 'rejects'] as const;
export type Learned = (typeof LEARNED)[number];

/** Minutes of a day: 0 is midnight. */
const DAY = 1440;
const minuteOfDay = z.number().int().min(0).max(DAY);

/** A maker, by initials: a few letters. */
export const Initials = z.string().trim().min(1, 'needs a letter').max(6, 'must be at most 6 letters');

/**
 * How a workshop likes its figures said, and when it works. Documents and interfaces are metric whatever stands here:
 * these are ways of showing and of typing a bare number, nothing else. Scales keep their own unit and division.
 */
export const Preferences = z.object({
  /** Grams and kilograms, or ounces and pounds. */
  weights: z.enum(['g', 'oz']),
  volumes: z.enum(['ml', 'fl oz', 'cup']),
  lengths: z.enum(['mm', 'in']),
  temperatures: z.enum(['°C', '°F']),
  /** Three letters of the currency that prices are in; absent until it is known. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, 'is three capital letters')
    .optional(),
  paper: z.enum(['A4', 'Letter']),
  clock: z.enum(['24 h', '12 h']),
  /** The day a week begins with, 0 for Sunday to 6 for Saturday. */
  weekStarts: z.number().int().min(0).max(6),
  /** When hands are there, minutes of the day; a whole day is 0 to 1440. */
  hours: z
    .object({ from: minuteOfDay, to: minuteOfDay })
    .refine((h) => h.to > h.from, 'must end after they begin'),
  /** Days of the week without hands, 0 for Sunday to 6 for Saturday; never all seven. */
  daysOff: z.array(z.number().int().min(0).max(6)).max(6, 'leave no day to work on'),
  /** Who works here, by their initials: who weighed, who poured, who inspected. */
  makers: z
    .array(Initials)
    .max(12)
    .refine((all) => new Set(all).size === all.length, 'stand there twice'),
  /** Pairs of hands at the bench at once, for the days. */
  hands: z.number().int().min(1, 'must be one or more').max(4, 'is more than a bench plans for').default(1),
  /** What the record teaches that plans are not to use. */
  unlearned: z.array(z.enum(LEARNED)).max(LEARNED.length).default([]),
  /** Whether a run sounds when something is to be done. */
  sound: z.boolean()
});
export type Preferences = z.infer<typeof Preferences>;
