import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Top } from './fields';

export type { Top };

export const top = defineAct({
  kind: 'top',
  name: 'pipe a top',
  group: 'pour in',
  fields,
  also: ['pipe', 'rosettes', 'texture'],
  usually: { each: 4 },
  lasts: () => 'sets',
  flow,
  traits: (act) => (act.how === 'piped' ? ['tops', 'bagged'] : ['tops']),
  words: (act, { cup, cavities }) => ({
    title: `pipe a top of ${cup(act.cupId)}`,
    where: act.how === 'piped' ? '' : act.how,
    act: 'Pipe',
    rest: `a top of ${cup(act.cupId)} on ${cavities}, ${act.how}`,
    hint: 'from the ends to the middle; embeds between the future cuts',
    confirm: 'Topped'
  })
});
