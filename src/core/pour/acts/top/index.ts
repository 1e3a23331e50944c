import { formatAmount } from '../../../document';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Top } from './fields';

export type { Top };

export const top = defineAct({
  kind: 'top',
  group: 'pour in',
  fields,
  also: ['pipe', 'rosettes', 'texture'],
  usually: { each: 4 },
  lasts: () => 'sets',
  flow,
  traits: (act) => (act.how === 'piped' ? ['tops', 'bagged'] : ['tops']),
  words: (act, { cup, cavities }) => ({
    line: `top with ${cup(act.cupId)}, ${formatAmount(act.amount)}, ${act.how}`,
    more: `${act.how}`,
    act: 'Top',
    rest: `${cavities} with ${cup(act.cupId)}, ${act.how}`,
    hint: 'from the ends to the middle; embeds between the future cuts',
    confirm: 'Topped'
  })
});
