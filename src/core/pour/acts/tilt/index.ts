import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Tilt } from './fields';

export type { Tilt };

export const tilt = defineAct({
  kind: 'tilt',
  name: 'tilt',
  group: 'move',
  fields,
  also: ['lean', 'run'],
  usually: { each: 0.2 },
  passes: (act) => act.minutes,
  flow,
  words: (act, { cavities }) => ({
    title: `tilt by ${act.degrees}°`,
    where: duration(act.minutes),
    act: 'Tilt',
    rest: `${cavities} by ${act.degrees}° for ${duration(act.minutes)}`,
    hint: 'slowly there, slowly back',
    confirm: 'Tilted'
  })
});
