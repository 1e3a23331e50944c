import { defineAct } from '../../define';
import { words, type ActOf } from '../../fields';

/** The rim, the sprue and the flash come off. */
const fields = {
  with: words('With')
};
export type Trim = ActOf<'trim', typeof fields>;

export const trim = defineAct({
  kind: 'trim',
  name: 'trim',
  group: 'after',
  fields,
  traits: ['trims'],
  also: ['flash', 'sprue', 'edge', 'bevel'],
  usually: { each: 1 },
  edges: { early: 'the edge tears', late: 'the edge is hard to take off' },
  words: (act, { cavities }) => ({
    title: `trim${act.with ? ` with ${act.with}` : ''}`,
    act: 'Trim',
    rest: `${cavities}${act.with ? ` with ${act.with}` : ''}`,
    hint: 'away from yourself',
    confirm: 'Trimmed'
  })
});
