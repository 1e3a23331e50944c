import { defineAct } from '../../define';
import { place, quantity, type ActOf } from '../../fields';
import { withdrawn } from '../../withdrawn';
import { placeWords } from '../../place';

/** Some is drawn out with a syringe; the rest flows in towards it. */
const fields = {
  ml: quantity('Drawn out', 'ml', 5, { min: 0.1, max: 5000 }),
  at: place()
};
export type Withdraw = ActOf<'withdraw', typeof fields>;

export const withdraw = defineAct({
  kind: 'withdraw',
  group: 'move',
  fields,
  also: ['syringe', 'suck', 'draw out'],
  usually: { each: 0.4 },
  apply: (act, stand, step) => withdrawn(stand, act.ml, step),
  words: (act, { cavities }) => ({
    line: `withdraw ${act.ml} ml at ${placeWords(act.at)}`,
    act: 'Withdraw',
    rest: `${act.ml} ml at ${placeWords(act.at)} of ${cavities}`,
    hint: 'slowly, the tip on the ground',
    confirm: 'Drawn out'
  })
});
