import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Mill } from './fields';

export type { Mill };

export const mill = defineAct({
  kind: 'mill',
  group: 'after',
  fields,
  traits: ['mills', 'unmoulded'],
  also: ['surface', 'plane', 'router'],
  usually: { each: 6 },
  flow,
  edges: { early: 'colour peels out' },
  words: (act, { cavities }) => ({
    line: `mill ${act.depth} mm off`,
    act: 'Mill',
    rest: `${act.depth} mm off ${cavities}`,
    hint: 'only what is fully cured; shallow passes',
    confirm: 'Milled'
  })
});
