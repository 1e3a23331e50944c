import { defineAct } from '../../define';
import { count, oneOf, quantity, type ActOf } from '../../fields';

/** Cut into pieces: bars, slices, logs. */
const fields = {
  pieces: count('Into', 10, 1000, 2),
  how: oneOf('How', ['straight', 'on the diagonal', 'into logs'], 'straight'),
  kerf: quantity('Blade takes', 'mm', 0, { max: 20 })
};
export type Cut = ActOf<'cut', typeof fields>;

export const cut = defineAct({
  kind: 'cut',
  name: 'cut',
  group: 'after',
  fields,
  traits: ['unmoulded', 'cuts'],
  also: ['slice', 'bars', 'log', 'wire'],
  usually: { each: 5 },
  edges: { early: 'it smears and bends', late: 'it crumbles at the blade' },
  words: (act, { cavities }) => ({
    title: `cut into ${act.pieces}`,
    where: act.how,
    act: 'Cut',
    rest: `${cavities} into ${act.pieces}, ${act.how}`,
    hint: 'one clean pass; wipe the blade',
    confirm: 'Cut'
  })
});
