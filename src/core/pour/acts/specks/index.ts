import { counted } from '../../../quantity';
import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Specks } from './fields';

export type { Specks };

export const specks = defineAct({
  kind: 'specks',
  name: 'spatter',
  group: 'pour in',
  fields,
  also: ['drops', 'dots', 'flick', 'spot', 'freckles'],
  usually: { each: 0.3 },
  flow,
  varies: 'where each speck lies',
  words: (act, { cup, cavities }) => ({
    title: `spatter ${cup(act.cupId)}`,
    where: `${counted(act.drops, 'drop')} over ${act.over}`,
    act: 'Spatter',
    rest: `${cup(act.cupId)} in ${counted(act.drops, 'drop')} over ${act.over}, in ${cavities}`,
    hint: 'from the tip of a pick; no two of one size',
    confirm: 'Spattered'
  })
});
