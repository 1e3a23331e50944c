import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { oneOf, repeats, type ActOf } from '../../fields';

/** A fine spray over the surface; again where it is to be again. */
const fields = {
  what: oneOf('Of', ['alcohol', 'water', 'pigment in water', 'release'], 'alcohol'),
  ...repeats()
};
export type Spray = ActOf<'spray', typeof fields>;

export const spray = defineAct({
  kind: 'spray',
  name: 'spray',
  group: 'after',
  fields,
  also: ['mist', 'ash', 'stain'],
  traits: (act) => (act.what === 'alcohol' ? ['alcohol', 'shields'] : ['water']),
  usually: { each: 0.3 },
  edges: { late: 'ash blooms on the open face' },
  words: (act, { cavities }) => ({
    title: `spray ${act.what}`,
    where: act.times > 1 ? `${act.times} times, every ${duration(act.every)}` : '',
    act: 'Spray',
    rest: `${act.what} over ${cavities}`,
    hint: 'a fine mist, from an arm’s length',
    confirm: 'Sprayed'
  })
});
