import { formatAmount } from '../../../document';
import { defineAct } from '../../define';
import { placeWords } from '../../place';
import { flow } from './flow';
import { fields, type Puddle } from './fields';

export type { Puddle };

export const puddle = defineAct({
  kind: 'puddle',
  group: 'pour in',
  fields,
  traits: (act) => (act.from === 'high' ? ['digs', 'falls'] : ['digs']),
  also: ['drop', 'middle', 'dig'],
  usually: { each: 0.4 },
  flow,
  varies: 'the outline of each ring of colour',
  words: (act, { cup, cavities }) => ({
    line: `puddle ${cup(act.cupId)}, ${formatAmount(act.amount)}, into ${placeWords(act.at)}, from ${act.from}`,
    more: `into ${placeWords(act.at)}, from ${act.from}`,
    act: 'Puddle',
    rest: `${cup(act.cupId)} into ${placeWords(act.at)} of ${cavities}`,
    hint: act.from === 'low' ? 'from low, so that it spreads' : 'from high, so that it digs in',
    confirm: 'Poured'
  })
});
