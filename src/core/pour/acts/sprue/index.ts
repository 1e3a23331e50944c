import { defineAct } from '../../define';
import { minutes, type ActOf } from '../../fields';

/** The sprue is filled up again as it is drawn in, while it still flows. */
const fields = { within: minutes('Within', 2) };
export type Sprue = ActOf<'sprue', typeof fields>;

export const sprue = defineAct({
  kind: 'sprue',
  name: 'top the sprue',
  group: 'wait',
  fields,
  also: ['top up', 'shrink', 'dent'],
  traits: ['tops the sprue'],
  usually: { each: 0.3 },
  edges: { late: 'what is added no longer joins, and a dent stays' },
  words: (_, { cavities }) => ({
    title: 'top the sprue',
    act: 'Top the sprue',
    rest: `of ${cavities} while it draws in`,
    hint: 'a little at a time, until it stays level',
    confirm: 'Topped'
  })
});
