import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { count, type ActOf } from '../../fields';

/** The injector is held on the mould while what is in it begins to draw in. */
const fields = { seconds: count('Seconds', 20, 600) };
export type Hold = ActOf<'hold', typeof fields>;

export const hold = defineAct({
  kind: 'hold',
  name: 'hold the pressure',
  group: 'wait',
  fields,
  also: ['inject', 'pack', 'press'],
  usually: { each: 0.5 },
  edges: { early: 'it draws back from the mould and leaves a dent' },
  words: (act, { cavities }) => ({
    title: `hold the pressure ${duration(act.seconds / 60)}`,
    act: 'Hold the pressure',
    rest: `on ${cavities}, ${duration(act.seconds / 60)} each`,
    hint: 'slow and even; gloves, and the nozzle away from your face',
    confirm: 'Held'
  })
});
