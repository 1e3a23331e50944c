import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Tilt } from './fields';

export type { Tilt };

export const tilt = defineAct({
  kind: 'tilt',
  group: 'move',
  fields,
  also: ['lean', 'run'],
  usually: { each: 0.2 },
  passes: (act) => act.minutes,
  flow,
  words: (act, { cavities }) => ({
    line: `tilt by ${act.degrees}° for ${duration(act.minutes)}`,
    act: 'Tilt',
    rest: `${cavities} by ${act.degrees}° for ${duration(act.minutes)}`,
    hint: 'slowly there, slowly back',
    confirm: 'Tilted'
  })
});
