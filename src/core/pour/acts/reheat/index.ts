import { defineAct } from '../../define';
import { cup, quantity, type ActOf } from '../../fields';
import { figure } from '../../../quantity';

/** A cup is warmed again to what it pours at. */
const fields = {
  cupId: cup('Which cup'),
  celsius: quantity('To', '°C', 60, { min: 20, max: 250 })
};
export type Reheat = ActOf<'reheat', typeof fields>;

export const reheat = defineAct({
  kind: 'reheat',
  group: 'wait',
  fields,
  also: ['warm', 'melt'],
  usually: { once: 3 },
  words: (act, { cup }) => ({
    line: `reheat ${cup(act.cupId)} to ${figure(act.celsius, '°C')}`,
    act: 'Reheat',
    rest: `${cup(act.cupId)} to ${figure(act.celsius, '°C')}`,
    hint: 'gently, stirred; every reheat counts',
    confirm: 'Reheated'
  })
});
