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
  name: 'warm again',
  group: 'wait',
  fields,
  also: ['warm', 'melt'],
  usually: { once: 3 },
  traits: ['heats again'],
  words: (act, { cup }) => ({
    title: `warm ${cup(act.cupId)} to ${figure(act.celsius, '°C')} again`,
    act: 'Warm',
    rest: `${cup(act.cupId)} to ${figure(act.celsius, '°C')} again`,
    hint: 'gently, stirred; every reheat counts',
    confirm: 'Warm again'
  })
});
