import { defineAct } from '../../define';
import { flow } from './flow';
import { fields, type Dust } from './fields';

export type { Dust };

export const dust = defineAct({
  kind: 'dust',
  group: 'put in',
  fields,
  traits: ['dusts'],
  also: ['mica', 'powder', 'brush on', 'first touch'],
  usually: { each: 1 },
  flow,
  varies: 'how the dust fades',
  words: (act, { cavities, part }) => ({
    line: `dust ${act.colourantId ? part(act.colourantId) : 'mica'} over ${act.over === 'a zone' ? (act.zone ? part(act.zone) : 'a zone') : act.over}, ${Math.round(act.cover * 100)} %${act.fade === 'evenly' ? '' : `, fading ${act.fade}`}${act.wiped === 'no' ? '' : ', wiped from the raised parts'}`,
    act: 'Dust',
    rest: `${cavities} with ${act.colourantId ? part(act.colourantId) : 'mica'}, ${act.over}`,
    hint: 'dry brush on a dry, glossy mould; a mask on; mind what falls beside',
    confirm: 'Dusted'
  })
});
