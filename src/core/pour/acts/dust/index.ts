import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Dust } from './fields';

export type { Dust };

/** Over which part of the face, in words. */
function whereOf(act: Dust, part: (id: string) => string): string {
  if (act.over !== 'a zone') return act.within ? `${act.over}, within what is traced` : act.over;
  if (act.zone) return part(act.zone);
  return act.within ? 'a traced zone' : 'a zone';
}

export const dust = defineAct({
  kind: 'dust',
  name: 'dust with powder',
  group: 'put in',
  fields,
  traits: ['dusts'],
  also: ['mica', 'powder', 'brush on', 'first touch'],
  usually: { each: 1 },
  flow,
  varies: 'how the dust fades',
  words: (act, { cavities, part }) => ({
    title: `dust with ${act.colourantId ? part(act.colourantId) : 'mica'}`,
    where: `${whereOf(act, part)}, ${Math.round(act.cover * 100)} %${act.fade === 'evenly' ? '' : `, fading ${act.fade}`}${act.wiped === 'no' ? '' : ', wiped from the raised parts'}`,
    act: 'Dust',
    rest: `${cavities} with ${act.colourantId ? part(act.colourantId) : 'mica'}, ${whereOf(act, part)}`,
    hint: 'dry brush on a dry, glossy mould; a mask on; mind what falls beside',
    confirm: 'Dusted'
  })
});
