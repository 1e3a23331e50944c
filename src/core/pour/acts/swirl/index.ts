import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, cup, oneOf, path, type ActOf } from '../../fields';
import { pathWords } from '../../place';

/** A cup that itself holds several colours is poured out: what lies at its lip comes first. */
const fields = {
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

export const swirl = defineAct({
  kind: 'swirl',
  group: 'pour in',
  fields,
  also: ['cup swirl', 'dirty cup', 'marbled cup', 'jug', 'pour cup'],
  usually: { each: 2 },
  words: (act, { cup, cavities }) => ({
    line: `swirl ${cup(act.cupId)}, ${formatAmount(act.amount)}, along ${pathWords(act.path)}, from ${act.from}`,
    act: 'Pour the swirl',
    rest: `${cup(act.cupId)} along ${pathWords(act.path)} of ${cavities}`,
    hint: `from ${act.from}, in one go, without stirring`,
    confirm: 'Poured'
  })
});
