import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Coat } from './fields';

export type { Coat };

export const coat = defineAct({
  kind: 'coat',
  name: 'coat the detail',
  group: 'pour in',
  fields,
  also: ['detail', 'zone', 'first coat'],
  usually: { each: 0.5 },
  passes: (act) => 2 * act.aside,
  flow,
  words: (act, { cup, cavities, part }) => ({
    title: `coat ${act.zone ? part(act.zone) : 'the detail'} with ${cup(act.cupId)}`,
    where: `${duration(act.aside)} to each side`,
    act: 'Coat',
    rest: `${act.zone ? part(act.zone) : 'the detail'} of ${cavities} with ${cup(act.cupId)}`,
    hint: `tilt it ${duration(act.aside)} to each side and let it run`,
    confirm: 'Coated'
  })
});
