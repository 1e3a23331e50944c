import { formatAmount } from '../../../document';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Specks } from './fields';

export type { Specks };

export const specks = defineAct({
  kind: 'specks',
  group: 'pour in',
  fields,
  also: ['drops', 'dots', 'flick', 'spot', 'freckles'],
  usually: { each: 0.3 },
  flow,
  varies: 'where each speck lies',
  words: (act, { cup, cavities }) => ({
    line: `specks of ${cup(act.cupId)}, ${formatAmount(act.amount)} in ${act.drops} drops over ${act.over}`,
    more: `in ${act.drops} drops over ${act.over}`,
    act: 'Spot',
    rest: `${act.drops} drops of ${cup(act.cupId)} over ${act.over}, in ${cavities}`,
    hint: 'from the tip of a pick; no two of one size',
    confirm: 'Spotted'
  })
});
