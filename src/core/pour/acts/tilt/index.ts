import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { minutes, quantity, type ActOf } from '../../fields';

/** The mould is tilted so that what is fluid runs to one side and back. */
const fields = {
  towards: quantity('Towards', '°', 0, { max: 360 }),
  degrees: quantity('By', '°', 20, { max: 90 }),
  minutes: minutes('For', 1, 60)
};
export type Tilt = ActOf<'tilt', typeof fields>;

export const tilt = defineAct({
  kind: 'tilt',
  group: 'move',
  fields,
  also: ['lean', 'run'],
  usually: { each: 0.2 },
  passes: (act) => act.minutes,
  words: (act, { cavities }) => ({
    line: `tilt by ${act.degrees}° for ${duration(act.minutes)}`,
    act: 'Tilt',
    rest: `${cavities} by ${act.degrees}° for ${duration(act.minutes)}`,
    hint: 'slowly there, slowly back',
    confirm: 'Tilted'
  })
});
