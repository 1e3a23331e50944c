import { defineAct } from '../../define';
import { atPlace } from '../../place';
import { flow } from './flow';
import { fields, type PlaceAct } from './fields';
import { figure } from '../../../quantity';

export type { PlaceAct };

/** What is set in, and how many where they are several. */
function whatOf({ what, embedId, pieces }: PlaceAct, part: (id: string) => string): string {
  const name = what ?? (embedId ? part(embedId) : 'embed');
  return pieces === 1 && what ? name : `${pieces} ${name}`;
}

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
    title: `set in ${whatOf(act, part)}`,
    where: [
      act.pieces === 1 ? atPlace(act.at) : '',
      act.pressed ? `pressed in ${figure(act.pressed, 'mm')}` : ''
    ]
      .filter(Boolean)
      .join(', '),
    act: 'Set in',
    rest: `${whatOf(act, part)} in ${cavities}`,
    hint: 'from the middle outward, face first, so that no air stays under it',
    confirm: 'Set in'
  })
});
