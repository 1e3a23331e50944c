import { type ActOf, amount, cup, oneOf, path } from '../../fields';

/** A cup that itself holds several colours is poured out: what lies at its lip comes first. */
export const fields = {
  cupId: cup('From the jug'),
  amount: amount(),
  path: path('Along', {
    points: [
      { x: -0.8, y: 0.6 },
      { x: 0.8, y: 0.6 },
      { x: 0.8, y: -0.6 },
      { x: -0.8, y: -0.6 }
    ]
  }),
  from: oneOf('From', ['low', 'high'], 'low')
};
export type Swirl = ActOf<'swirl', typeof fields>;
