import { defineAct } from '../../define';
import { oneOf, type ActOf } from '../../fields';

/** A clean straw, pick or breath takes the bubbles that have risen. */
const fields = {
  with: oneOf('With', ['a pick', 'breath', 'a straw'], 'a pick')
};
export type Clear = ActOf<'clear', typeof fields>;

export const clear = defineAct({
  kind: 'clear',
  name: 'pop bubbles',
  group: 'wait',
  fields,
  also: ['bubbles', 'pop'],
  usually: { each: 0.3 },
  words: (act, { cavities }) => ({
    title: `pop the bubbles with ${act.with}`,
    act: 'Pop',
    rest: `the bubbles in ${cavities} with ${act.with}`,
    hint: 'what has risen and stays',
    confirm: 'Cleared'
  })
});
