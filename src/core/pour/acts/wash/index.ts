import { defineAct } from '../../define';
import { words, type ActOf } from '../../fields';

/** Washed clean. */
const fields = {
  with: words('With')
};
export type Wash = ActOf<'wash', typeof fields>;

export const wash = defineAct({
  kind: 'wash',
  name: 'wash',
  group: 'after',
  fields,
  also: ['rinse', 'clean'],
  traits: ['water', 'unmoulded'],
  usually: { each: 0.5 },
  edges: { late: 'release sets on the face' },
  words: (act, { cavities }) => ({
    title: `wash${act.with ? ` with ${act.with}` : ''}`,
    act: 'Wash',
    rest: `${cavities}${act.with ? ` with ${act.with}` : ''}`,
    hint: 'lukewarm; nothing of it down the drain that sets there',
    confirm: 'Washed'
  })
});
