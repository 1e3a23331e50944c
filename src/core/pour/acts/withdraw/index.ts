import { defineAct } from '../../define';
import { atPlace } from '../../place';
import { withdrawn } from '../../withdrawn';
import { flow } from './flow';
import { fields, type Withdraw } from './fields';
import { figure } from '../../../quantity';

export type { Withdraw };

export const withdraw = defineAct({
  kind: 'withdraw',
  name: 'draw out with a syringe',
  group: 'move',
  fields,
  also: ['syringe', 'suck', 'draw out'],
  usually: { each: 0.4 },
  apply: (act, stand, step) => withdrawn(stand, act.ml, step),
  flow,
  words: (act, { cavities }) => ({
    title: `draw out ${figure(act.ml, 'ml')}`,
    where: `${atPlace(act.at)}, with a syringe`,
    act: 'Draw out',
    rest: `${figure(act.ml, 'ml')} ${atPlace(act.at)} of ${cavities}`,
    hint: 'slowly, the tip on the bottom',
    confirm: 'Drawn out'
  })
});
