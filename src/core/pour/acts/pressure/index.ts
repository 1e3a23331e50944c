import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { minutes, quantity, type ActOf } from '../../fields';

/** In the pressure pot until it is hard. */
const fields = {
  bar: quantity('At', 'bar', 3, { min: 0.5, max: 10 }),
  minutes: minutes('For', 480)
};
export type Pressure = ActOf<'pressure', typeof fields>;

export const pressure = defineAct({
  kind: 'pressure',
  name: 'put under pressure',
  group: 'wait',
  fields,
  also: ['pot', 'bar'],
  usually: { once: 3 },
  passes: (act) => act.minutes,
  traits: ['presses', 'in a pot'],
  words: (act, { cavities }) => ({
    title: `put under ${act.bar} bar`,
    where: duration(act.minutes),
    act: 'Put under pressure',
    rest: `${cavities} at ${act.bar} bar for ${duration(act.minutes)}`,
    hint: 'a rated pot, regulated, its relief valve free; never open it under pressure',
    confirm: 'In the pot'
  })
});
