import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, intoChamber, cup, type ActOf } from '../../fields';

/** A layer that levels by itself, over the whole cavity or in one chamber of a divided one; levels stay even when all are filled alike. */
const fields = { cupId: cup(), amount: amount(), chamberId: intoChamber() };
export type Lay = ActOf<'lay', typeof fields>;

export const lay = defineAct({
  kind: 'lay',
  group: 'pour in',
  fields,
  also: ['layer', 'pour', 'fill'],
  usually: { each: 0.5 },
  words: (act, { cup, cavities }) => ({
    line: `lay ${cup(act.cupId)}, ${formatAmount(act.amount)}`,
    act: 'Pour',
    rest: `${cup(act.cupId)} into ${cavities}`,
    hint: 'low and slow, down the middle',
    confirm: 'Poured'
  })
});
