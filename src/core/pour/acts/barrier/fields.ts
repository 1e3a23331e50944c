import { type ActOf, oneOf, path, quantity } from '../../fields';

/** A line from wall to wall that keeps two colours apart until both stand at it. */
export const fields = {
  of: oneOf('Of', ['crushed glass', 'clay', 'gelled bead'], 'crushed glass'),
  path: path('Along', {
    points: [
      { x: -1, y: 0 },
      { x: 1, y: 0 }
    ]
  }),
  height: quantity('High', 'mm', 4, { min: 0.5, max: 60 })
};
export type Barrier = ActOf<'barrier', typeof fields>;
