import { figure } from '../../../quantity';
import { defineAct } from '../../define';
import { atPlace } from '../../place';
import { flow } from './flow';
import { fields, type Puddle } from './fields';

export type { Puddle };

export const puddle = defineAct({
  kind: 'puddle',
  name: 'puddle',
  group: 'pour in',
  fields,
  traits: (act) => (act.from === 'high' ? ['digs', 'falls'] : ['digs']),
  also: ['drop', 'middle', 'dig'],
  usually: { each: 0.4 },
  flow,
  varies: 'the outline of each ring of colour',
  words: (act, { cup, cavities }) => ({
    title: `puddle ${cup(act.cupId)}`,
    where: `${atPlace(act.at)}, from ${act.from}`,
    act: 'Puddle',
    rest: `${cup(act.cupId)} ${atPlace(act.at)} of ${cavities}`,
    hint:
      act.from === 'low'
        ? `from ${figure(20, 'mm')} up: it spreads`
        : `from ${figure(150, 'mm')} up: it sinks in`,
    confirm: 'Poured'
  })
});
