import { defineAct } from '../../define';
import { pathWords } from '../../place';
import { flow } from './flow';
import { fields, type Barrier } from './fields';
import { figure } from '../../../quantity';

export type { Barrier };

export const barrier = defineAct({
  kind: 'barrier',
  name: 'lay a barrier',
  group: 'put in',
  fields,
  traits: ['parts'],
  also: ['snake', 'dam', 'split'],
  usually: { each: 2 },
  flow,
  words: (act, { cavities }) => ({
    title: `lay a barrier of ${act.of}`,
    where: `along ${pathWords(act.path)}, ${figure(act.height, 'mm')} high`,
    act: 'Lay the barrier',
    rest: `of ${act.of} along ${pathWords(act.path)} of ${cavities}`,
    hint: 'from wall to wall, without a gap',
    confirm: 'Laid'
  })
});
