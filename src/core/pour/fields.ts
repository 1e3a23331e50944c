import { z } from 'zod';
import { Amount } from '../document';
import { Ref } from '../id';
import { MIDDLE, Path, Place } from './place';

/** What a field of an act asks for: which control a screen gives it, and in which unit. */
export type FieldKind =
  | { is: 'cup' }
  | { is: 'amount' }
  | { is: 'quantity'; unit: string; min: number; max: number }
  | { is: 'count'; min: number; max: number }
  | { is: 'choice'; of: readonly string[] }
  | { is: 'words' }
  | { is: 'pot' }
  | { is: 'list'; max: number }
  | { is: 'place' }
  | { is: 'path' }
  | { is: 'outline' }
  | { is: 'chamber' }
  | { is: 'zone' }
  | { is: 'embed' };

/** One thing an act says of itself: how it is called, how it is asked for, what it may be, and what it usually is. */
export interface Field<T> {
  label: string;
  asked: FieldKind;
  schema: z.ZodType<T>;
  usual: T;
}

/** The fields of an act, by key. From them come its schema, its form on the screen and its usual values. */
export type Fields = Record<string, Field<unknown>>;

/** An act as its fields make it. */
export type ActOf<K extends string, F extends Fields> = { kind: K } & {
  [P in keyof F]: F[P] extends Field<infer T> ? T : never;
};

/** The schema of an act: its kind, and what each of its fields allows. */
export function actSchema<K extends string, F extends Fields>(kind: K, fields: F): z.ZodType<ActOf<K, F>> {
  const shape = Object.fromEntries(Object.entries(fields).map(([key, f]) => [key, f.schema]));
  return z.object({ kind: z.literal(kind), ...shape }) as unknown as z.ZodType<ActOf<K, F>>;
}

/** The cup it draws from. */
export const cup = (label = 'From'): Field<string> => ({
  label,
  asked: { is: 'cup' },
  schema: Ref,
  usual: ''
});

/** How much goes into each cavity. */
export const amount = (usual: Amount = { kind: 'rim' }): Field<Amount> => ({
  label: 'Amount',
  asked: { is: 'amount' },
  schema: Amount,
  usual
});

interface Range {
  min?: number;
  max: number;
}

/** A quantity in its internal unit, from `min` (0 unless said) to `max`. */
export const quantity = (
  label: string,
  unit: string,
  usual: number,
  { min = 0, max }: Range
): Field<number> => ({
  label,
  asked: { is: 'quantity', unit, min, max },
  schema: z.number().min(min, `must be at least ${min} ${unit}`).max(max, `can be at most ${max} ${unit}`),
  usual
});

/** A quantity that may be left out. */
export const maybe = <T>(field: Field<T>): Field<T | undefined> => ({
  ...field,
  schema: field.schema.optional() as z.ZodType<T | undefined>,
  usual: undefined
});

/** Minutes, up to sixty days. */
export const minutes = (label: string, usual: number, max = 86_400): Field<number> =>
  quantity(label, 'min', usual, { max });

export const count = (label: string, usual: number, max: number, min = 1): Field<number> => ({
  label,
  asked: { is: 'count', min, max },
  schema: z.number().int('must be a whole number').min(min).max(max),
  usual
});

export const oneOf = <const T extends string>(label: string, of: readonly T[], usual: T): Field<T> => ({
  label,
  asked: { is: 'choice', of },
  schema: z.enum(of) as unknown as z.ZodType<T>,
  usual
});

/** Whole numbers in the order they are gone through, such as grits. */
export const list = (label: string, usual: readonly number[], max: number): Field<number[]> => ({
  label,
  asked: { is: 'list', max },
  schema: z.array(z.number().int().min(1).max(max)).min(1, 'needs a number').max(20),
  usual: [...usual]
});

/** A few words of the maker's; may be left out. */
export const words = (label: string): Field<string | undefined> => ({
  label,
  asked: { is: 'words' },
  schema: z.string().trim().min(1).max(60).optional(),
  usual: undefined
});

/** A colourant of the shelf by its id, or a few words for one that is not there; may be left out. */
export const pot = (label: string): Field<string | undefined> => ({ ...words(label), asked: { is: 'pot' } });

export const place = (label = 'Where', usual: Place = MIDDLE): Field<Place> => ({
  label,
  asked: { is: 'place' },
  schema: Place,
  usual
});

export const path = (label: string, usual: Path): Field<Path> => ({
  label,
  asked: { is: 'path' },
  schema: Path,
  usual
});

/** A circle about the middle: an outline until one is traced. */
export const CIRCLE: Path = {
  closed: true,
  points: Array.from({ length: 8 }, (_, i) => ({
    x: Math.round(450 * Math.cos((Math.PI * i) / 4)) / 1000,
    y: Math.round(450 * Math.sin((Math.PI * i) / 4)) / 1000
  }))
};

/** A closed outline of three corners or more. */
export const outline = (label: string): Field<Path> => ({
  label,
  asked: { is: 'outline' },
  schema: Path.refine(
    (p) => p.closed === true && p.points.length >= 3,
    'needs three corners or more, closed'
  ),
  usual: CIRCLE
});

/** A part of the cavity by its id: a chamber of a divided one, a zone of its card, an embed that stands in it. */
const part = (label: string, is: 'chamber' | 'zone' | 'embed'): Field<string | undefined> => ({
  label,
  asked: { is },
  schema: Ref.optional(),
  usual: undefined
});
export const intoChamber = () => part('Chamber', 'chamber');
export const zone = () => part('Zone', 'zone');
export const embed = () => part('Which', 'embed');

/** Done again: how often in all, and how long apart. */
export const repeats = (times = 1, every = 0) => ({
  times: count('Times', times, 60),
  every: minutes('Apart', every, 20_000)
});
