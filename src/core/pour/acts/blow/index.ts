import { defineAct } from '../../define';
import { count, oneOf, place, quantity, type ActOf } from '../../fields';
import { placeWords } from '../../place';

/** Warm air or a straw pushes the surface and feathers it. */
const fields = {
  with: oneOf('With', ['warm air', 'a straw', 'breath'], 'warm air'),
  at: place(),
  towards: quantity('Towards', '°', 90, { max: 360 }),
  strength: quantity('How hard', '%', 0.4, { max: 1 }),
  seconds: count('Seconds', 10, 600)
};
export type Blow = ActOf<'blow', typeof fields>;

export const blow = defineAct({
  kind: 'blow',
  group: 'move',
  fields,
  also: ['air', 'straw', 'feather', 'heat gun'],
  usually: { each: 0.3 },
  words: (act, { cavities }) => ({
    line: `blow ${act.with} at ${placeWords(act.at)}, ${act.seconds} s`,
    act: 'Blow',
    rest: `${act.with} over ${placeWords(act.at)} of ${cavities}, ${act.seconds} s`,
    hint: 'from low and short; stop while it still moves',
    confirm: 'Blown'
  })
});
