import { defineAct } from '../../define';
import { oneOf, path, quantity, type ActOf } from '../../fields';
import { pathWords } from '../../place';

/** A line from wall to wall that keeps two colours apart until both stand at it. */
const fields = {
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

export const barrier = defineAct({
  kind: 'barrier',
  group: 'put in',
  fields,
  also: ['snake', 'dam', 'split'],
  usually: { each: 2 },
  words: (act, { cavities }) => ({
    line: `barrier of ${act.of} along ${pathWords(act.path)}, ${act.height} mm high`,
    act: 'Lay the barrier',
    rest: `of ${act.of} along ${pathWords(act.path)} of ${cavities}`,
    hint: 'from wall to wall, without a gap',
    confirm: 'Laid'
  })
});
