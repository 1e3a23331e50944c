import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, count, cup, oneOf, quantity, type ActOf } from '../../fields';

/** Drops flicked or spotted over the cavity. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.02 }),
  drops: count('Drops', 9, 2000),
  spread: quantity('Sizes differ by', '%', 0.5, { max: 1 }),
  over: oneOf('Over', ['all of it', 'the middle', 'the rim'], 'all of it')
};
export type Specks = ActOf<'specks', typeof fields>;

export const specks = defineAct({
  kind: 'specks',
  group: 'pour in',
  fields,
  also: ['drops', 'dots', 'flick', 'spot', 'freckles'],
  usually: { each: 0.3 },
  words: (act, { cup, cavities }) => ({
    line: `specks of ${cup(act.cupId)}, ${formatAmount(act.amount)} in ${act.drops} drops over ${act.over}`,
    act: 'Spot',
    rest: `${act.drops} drops of ${cup(act.cupId)} over ${act.over}, in ${cavities}`,
    hint: 'from the tip of a pick; no two of one size',
    confirm: 'Spotted'
  })
});
