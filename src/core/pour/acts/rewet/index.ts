import { defineAct } from '../../define';
import { cup, quantity, type ActOf } from '../../fields';
import { figure } from '../../../quantity';

/** Liquid put in again because it stiffens: the ratio it leaves is shown. */
const fields = {
  cupId: cup('Into'),
  grams: quantity('Of liquid', 'g', 5, { min: 0.1, max: 5000 })
};
export type Rewet = ActOf<'rewet', typeof fields>;

export const rewet = defineAct({
  kind: 'rewet',
  group: 'wait',
  fields,
  also: ['water', 'thin'],
  traits: ['water'],
  usually: { once: 1 },
  words: (act, { cup }) => ({
    line: `rewet ${cup(act.cupId)} with ${figure(act.grams, 'g')}`,
    act: 'Rewet',
    rest: `${cup(act.cupId)} with ${figure(act.grams, 'g')} of its liquid`,
    hint: 'by drops, stirred in; it leaves the ratio that the cup now shows',
    confirm: 'Rewetted'
  })
});
