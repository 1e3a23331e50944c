import { defineAct } from '../../define';
import { placeWords } from '../../place';
import { withdrawn } from '../../withdrawn';
import { flow } from './flow';
import { fields, type Withdraw } from './fields';
import { figure } from '../../../quantity';

export type { Withdraw };

export const withdraw = defineAct({
  kind: 'withdraw',
  group: 'move',
  fields,
  also: ['syringe', 'suck', 'draw out'],
  usually: { each: 0.4 },
  apply: (act, stand, step) => withdrawn(stand, act.ml, step),
  flow,
  words: (act, { cavities }) => ({
    line: `withdraw ${figure(act.ml, 'ml')} at ${placeWords(act.at)}`,
    act: 'Withdraw',
    rest: `${figure(act.ml, 'ml')} at ${placeWords(act.at)} of ${cavities}`,
    hint: 'slowly, the tip on the ground',
    confirm: 'Drawn out'
  })
});
