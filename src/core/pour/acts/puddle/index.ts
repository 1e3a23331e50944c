import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, cup, oneOf, place, type ActOf } from '../../fields';
import { placeWords } from '../../place';

/** Into what is fluid at one place: it pushes that outward. From high it digs in; from low it rides on top. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.1 }),
  at: place(),
  from: oneOf('From', ['low', 'high'], 'low')
};
export type Puddle = ActOf<'puddle', typeof fields>;

export const puddle = defineAct({
  kind: 'puddle',
  group: 'pour in',
  fields,
  traits: ['digs'],
  also: ['drop', 'middle', 'dig'],
  usually: { each: 0.4 },
  wants: () => [{ state: 'fluid', of: 'layer below' }],
  words: (act, { cup, cavities }) => ({
    line: `puddle ${cup(act.cupId)}, ${formatAmount(act.amount)}, into ${placeWords(act.at)}, from ${act.from}`,
    act: 'Puddle',
    rest: `${cup(act.cupId)} into ${placeWords(act.at)} of ${cavities}`,
    hint: act.from === 'low' ? 'from low, so that it spreads' : 'from high, so that it digs in',
    confirm: 'Poured'
  })
});
