import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Lay } from './fields';

export type { Lay };

export const lay = defineAct({
  kind: 'lay',
  name: 'pour a layer',
  group: 'pour in',
  fields,
  also: ['layer', 'pour', 'fill'],
  usually: { each: 0.5 },
  traits: ['levels'],
  flow,
  words: (act, { cup, cavities, part }) => ({
    title: `pour a layer of ${cup(act.cupId)}`,
    where: act.chamberId === undefined ? '' : `into ${part(act.chamberId)}`,
    act: 'Pour',
    rest: `${cup(act.cupId)} into ${cavities}`,
    hint: 'low and slow, down the middle',
    confirm: 'Poured'
  })
});
