import { type ActOf, amount, cup, oneOf, path, quantity } from '../../fields';

/** Along a path: a drizzle, a piped line, petals, rings, hearts. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.05 }),
  path: path('Along', {
    points: [
      { x: -0.7, y: 0 },
      { x: 0.7, y: 0 }
    ]
  }),
  width: quantity('Width', 'mm', 4, { min: 0.5, max: 60 }),
  how: oneOf('How', ['drizzled', 'piped', 'drawn thin'], 'drizzled')
};
export type Ribbon = ActOf<'ribbon', typeof fields>;
