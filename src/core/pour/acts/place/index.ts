import { defineAct } from '../../define';
import { count, embed, place, quantity, words, type ActOf } from '../../fields';
import { placeWords } from '../../place';

/** Something set in: how many, where, and pressed to which depth. */
const fields = {
  what: words('What'),
  embedId: embed(),
  pieces: count('Pieces', 1, 2000),
  at: place(),
  pressed: quantity('Pressed in by', 'mm', 0, { max: 300 })
};
export type Place = ActOf<'place', typeof fields>;

export const placeEmbed = defineAct({
  kind: 'place',
  group: 'put in',
  fields,
  traits: ['embeds'],
  also: ['embed', 'object', 'chips', 'flower', 'insert'],
  usually: { each: 1 },
  words: (act, { cavities, part }) => ({
    line: `place ${act.pieces} ${act.what ?? (act.embedId ? part(act.embedId) : 'embed')}${act.pieces === 1 ? ` at ${placeWords(act.at)}` : ''}${act.pressed ? `, pressed in ${act.pressed} mm` : ''}`,
    act: 'Place',
    rest: `${act.pieces} ${act.what ?? (act.embedId ? part(act.embedId) : 'embed')} in ${cavities}`,
    hint: 'from the middle outward, face first, so that no air stays under it',
    confirm: 'Placed'
  })
});
