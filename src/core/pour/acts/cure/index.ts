import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { minutes, type ActOf } from '../../fields';

/** Left alone until it is cured through. */
const fields = {
  minutes: minutes('For', 4320)
};
export type Cure = ActOf<'cure', typeof fields>;

export const cure = defineAct({
  kind: 'cure',
  name: 'cure',
  group: 'after',
  fields,
  also: ['harden', 'rest', 'full cure', 'dry'],
  passes: (act) => act.minutes,
  words: (act, { cavities }) => ({
    title: `cure ${duration(act.minutes)}`,
    act: 'Cure',
    rest: `${cavities} for ${duration(act.minutes)}`,
    hint: 'level, warm, under a lid',
    confirm: 'Cured'
  })
});
