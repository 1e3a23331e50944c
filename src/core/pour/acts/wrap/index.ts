import { defineAct } from '../../define';
import { words, type ActOf } from '../../fields';

/** Wrapped: kept from air or made ready to go. */
const fields = {
  in: words('In')
};
export type Wrap = ActOf<'wrap', typeof fields>;

export const wrap = defineAct({
  kind: 'wrap',
  name: 'wrap',
  group: 'after',
  fields,
  also: ['pack', 'box', 'label', 'cover'],
  traits: ['unmoulded', 'shields'],
  usually: { each: 0.5 },
  words: (act, { cavities }) => ({
    title: `wrap${act.in ? ` in ${act.in}` : ''}`,
    act: 'Wrap',
    rest: `${cavities}${act.in ? ` in ${act.in}` : ''}`,
    hint: 'only what is dry; with its date',
    confirm: 'Wrapped'
  })
});
