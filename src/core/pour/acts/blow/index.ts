import { defineAct } from '../../define';
import { atPlace } from '../../place';
import { flow } from './flow';
import { fields, type Blow } from './fields';

export type { Blow };

export const blow = defineAct({
  kind: 'blow',
  name: 'blow',
  group: 'move',
  fields,
  also: ['air', 'straw', 'feather', 'heat gun'],
  usually: { each: 0.3 },
  flow,
  traits: ['clears'],
  varies: 'where the blown colour spreads',
  words: (act, { cavities }) => ({
    title: `blow with ${act.with}`,
    where: `${atPlace(act.at)}, ${act.seconds} s`,
    act: 'Blow',
    rest: `with ${act.with} ${atPlace(act.at)} of ${cavities}, ${act.seconds} s`,
    hint: 'from low and short; stop while it still moves',
    confirm: 'Blown'
  })
});
