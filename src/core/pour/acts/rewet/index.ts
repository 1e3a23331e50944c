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
  name: 'add water',
  group: 'wait',
  fields,
  also: ['water', 'thin'],
  traits: ['water'],
  usually: { once: 1 },
  words: (act, { cup }) => ({
    title: `add ${figure(act.grams, 'g')} of liquid to ${cup(act.cupId)}`,
    act: 'Add',
    rest: `${figure(act.grams, 'g')} of its liquid to ${cup(act.cupId)}`,
    hint: 'drop by drop, stirred in',
    confirm: 'Added'
  })
});
