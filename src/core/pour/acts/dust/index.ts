import { defineAct } from '../../define';
import { oneOf, quantity, words, zone, type ActOf } from '../../fields';

/** Dry mica on the mould face before anything: what touches the mould first is what shows. */
const fields = {
  colourantId: words('Which mica'),
  over: oneOf('Over', ['the raised parts', 'a zone', 'all of it'], 'all of it'),
  zone: zone(),
  cover: quantity('Covers', '%', 0.8, { max: 1 }),
  fade: oneOf('Fades', ['evenly', 'to the left', 'to the right', 'away', 'outward'], 'evenly'),
  wiped: oneOf('Wiped', ['no', 'from the raised parts'], 'no')
};
export type Dust = ActOf<'dust', typeof fields>;

export const dust = defineAct({
  kind: 'dust',
  group: 'put in',
  fields,
  traits: ['dusts'],
  also: ['mica', 'powder', 'brush on', 'first touch'],
  usually: { each: 1 },
  words: (act, { cavities, part }) => ({
    line: `dust ${act.colourantId ? part(act.colourantId) : 'mica'} over ${act.over === 'a zone' ? (act.zone ? part(act.zone) : 'a zone') : act.over}, ${Math.round(act.cover * 100)} %${act.fade === 'evenly' ? '' : `, fading ${act.fade}`}${act.wiped === 'no' ? '' : ', wiped from the raised parts'}`,
    act: 'Dust',
    rest: `${cavities} with ${act.colourantId ? part(act.colourantId) : 'mica'}, ${act.over}`,
    hint: 'dry brush on a dry, glossy mould; a mask on; mind what falls beside',
    confirm: 'Dusted'
  })
});
