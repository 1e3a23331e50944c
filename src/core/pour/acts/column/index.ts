import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, count, cup, place, type ActOf } from '../../fields';
import { placeWords } from '../../place';

/** Over a standing post: rings spread from it and follow its outline. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.3 }),
  at: place('Over the post at'),
  rounds: count('Rounds', 4, 40)
};
export type Column = ActOf<'column', typeof fields>;

export const column = defineAct({
  kind: 'column',
  group: 'pour in',
  fields,
  also: ['post', 'rings', 'turn about'],
  usually: { each: 2 },
  words: (act, { cup, cavities }) => ({
    line: `column ${cup(act.cupId)}, ${formatAmount(act.amount)}, over the post at ${placeWords(act.at)} in ${act.rounds} rounds`,
    act: 'Pour over the post',
    rest: `${cup(act.cupId)} in ${act.rounds} rounds, in ${cavities}`,
    hint: 'over its top, turn about with the other jugs, the same grams a round',
    confirm: 'Poured'
  })
});
