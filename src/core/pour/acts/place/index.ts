import { defineAct } from '../../define';
import { atPlace } from '../../place';
import { flow } from './flow';
import { fields, type PlaceAct } from './fields';
import { figure } from '../../../quantity';

export type { PlaceAct };

export const placeEmbed = defineAct({
  kind: 'place',
  name: 'set something in',
  group: 'put in',
  fields,
  traits: ['embeds'],
  also: ['embed', 'object', 'chips', 'flower', 'insert'],
  usually: { each: 1 },
  flow,
  words: (act, { cavities, part }) => ({
    title: `set in ${act.pieces} ${act.what ?? (act.embedId ? part(act.embedId) : 'embed')}`,
    where: [
      act.pieces === 1 ? atPlace(act.at) : '',
      act.pressed ? `pressed in ${figure(act.pressed, 'mm')}` : ''
    ]
      .filter(Boolean)
      .join(', '),
    act: 'Set in',
    rest: `${act.pieces} ${act.what ?? (act.embedId ? part(act.embedId) : 'embed')} in ${cavities}`,
    hint: 'from the middle outward, face first, so that no air stays under it',
    confirm: 'Set in'
  })
});
