import { defineAct } from '../../define';
import { quantity, words, type ActOf } from '../../fields';
import { figure } from '../../../quantity';

/** Strewn on the open face: glitter, salt, seeds, chips. */
const fields = {
  what: words('What'),
  grams: quantity('Of it', 'g', 1, { max: 5000 })
};
export type Sprinkle = ActOf<'sprinkle', typeof fields>;

export const sprinkle = defineAct({
  kind: 'sprinkle',
  name: 'sprinkle',
  group: 'put in',
  traits: ['strewn'],
  fields,
  also: ['strew', 'glitter', 'salt', 'seeds'],
  usually: { each: 0.3 },
  words: (act, { cavities }) => ({
    title: `sprinkle ${figure(act.grams, 'g')} ${act.what ?? ''}`.trim(),
    act: 'Sprinkle',
    rest: `${figure(act.grams, 'g')} ${act.what ?? ''} over ${cavities}`,
    hint: 'while the surface is still sticky enough to hold it',
    confirm: 'Sprinkled'
  })
});
