import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { quantity, type ActOf } from '../../fields';

/** On a vibrating table, until no more air comes. */
const fields = {
  minutes: quantity('For', 'min', 2, { min: 0.1, max: 60 })
};
export type Vibrate = ActOf<'vibrate', typeof fields>;

export const vibrate = defineAct({
  kind: 'vibrate',
  name: 'vibrate',
  group: 'wait',
  fields,
  also: ['table', 'bubbles'],
  usually: { each: 0, once: 0.5 },
  passes: (act) => act.minutes,
  traits: ['loosens'],
  words: (act, { cavities }) => ({
    title: `vibrate ${duration(act.minutes)}`,
    act: 'Vibrate',
    rest: `${cavities} for ${duration(act.minutes)}`,
    hint: 'until no more air comes; too long and the heavy parts sink',
    confirm: 'Vibrated'
  })
});
