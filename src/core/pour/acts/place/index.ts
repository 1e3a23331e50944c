import { defineAct } from '../../define';
import { placeWords } from '../../place';
import { flow } from './flow';
import { fields, type PlaceAct } from './fields';
import { figure } from '../../../quantity';

export type { PlaceAct };

export const placeEmbed = defineAct({
  kind: 'place',
  group: 'put in',
  fields,
  traits: ['embeds'],
  also: ['embed', 'object', 'chips', 'flower', 'insert'],
  usually: { each: 1 },
  flow,
  words: (act, { cavities, part }) => ({
    line: `place ${act.pieces} ${act.what ?? (act.embedId ? part(act.embedId) : 'embed')}${act.pieces === 1 ? ` at ${placeWords(act.at)}` : ''}${act.pressed ? `, pressed in ${figure(act.pressed, 'mm')}` : ''}`,
    act: 'Place',
    rest: `${act.pieces} ${act.what ?? (act.embedId ? part(act.embedId) : 'embed')} in ${cavities}`,
    hint: 'from the middle outward, face first, so that no air stays under it',
    confirm: 'Placed'
  })
});
