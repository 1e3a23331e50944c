import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, cup, oneOf, type ActOf } from '../../fields';

/** The top of the piece: piped rosettes, textured with a spoon, or strewn. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'dome' }),
  how: oneOf('How', ['piped', 'textured', 'spooned'], 'piped')
};
export type Top = ActOf<'top', typeof fields>;

export const top = defineAct({
  kind: 'top',
  group: 'pour in',
  fields,
  also: ['pipe', 'rosettes', 'texture'],
  usually: { each: 4 },
  lasts: () => 'sets',
  wants: (act) => (act.how === 'piped' ? [{ state: 'pipeable', of: { cup: act.cupId } }] : []),
  words: (act, { cup, cavities }) => ({
    line: `top with ${cup(act.cupId)}, ${formatAmount(act.amount)}, ${act.how}`,
    act: 'Top',
    rest: `${cavities} with ${cup(act.cupId)}, ${act.how}`,
    hint: 'from the ends to the middle; embeds between the future cuts',
    confirm: 'Topped'
  })
});
