import { defineAct } from '../../define';
import { levelled } from '../../cavity-state';
import { flow } from './flow';
import { fields, type Lift } from './fields';

export type { Lift };

export const lift = defineAct({
  kind: 'lift',
  name: 'lift a divider out',
  group: 'move',
  fields,
  also: ['remove divider', 'pull', 'column out'],
  usually: { each: 0.5 },
  apply: (act, stand) => ({ stand: act.what === 'divider' ? levelled(stand) : stand, problems: [] }),
  flow,
  words: (act, { cavities }) => ({
    title: `lift out the ${act.what}`,
    act: 'Lift',
    rest: `the ${act.what} out of ${cavities}`,
    hint: 'straight up, in one pull',
    confirm: 'Lifted'
  })
});
