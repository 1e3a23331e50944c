import { defineAct } from '../../define';
import { pathWords } from '../../place';
import { flow } from './flow';
import { fields, type Swirl } from './fields';

export type { Swirl };

export const swirl = defineAct({
  kind: 'swirl',
  name: 'pour a swirl',
  group: 'pour in',
  fields,
  also: ['cup swirl', 'dirty cup', 'marbled cup', 'jug', 'pour cup'],
  usually: { each: 2 },
  flow,
  varies: 'how the swirl turns',
  words: (act, { cup, cavities }) => ({
    title: `pour a swirl of ${cup(act.cupId)}`,
    where: `along ${pathWords(act.path)}, from ${act.from}`,
    act: 'Pour the swirl',
    rest: `${cup(act.cupId)} along ${pathWords(act.path)} of ${cavities}`,
    hint: `from ${act.from}, in one go, without stirring`,
    confirm: 'Poured'
  })
});
