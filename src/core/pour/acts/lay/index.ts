import { formatAmount } from '../../../document';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Lay } from './fields';

export type { Lay };

export const lay = defineAct({
  kind: 'lay',
  group: 'pour in',
  fields,
  also: ['layer', 'pour', 'fill'],
  usually: { each: 0.5 },
  traits: ['levels'],
  flow,
  words: (act, { cup, cavities }) => ({
    line: `lay ${cup(act.cupId)}, ${formatAmount(act.amount)}`,
    act: 'Pour',
    rest: `${cup(act.cupId)} into ${cavities}`,
    hint: 'low and slow, down the middle',
    confirm: 'Poured'
  })
});
