import { defineAct } from '../../define';
import { oneOf, type ActOf } from '../../fields';
import { levelled } from '../../stand';

/** A divider or a post comes out in one pull; what stood round it closes. */
const fields = {
  what: oneOf('What', ['divider', 'post', 'barrier'], 'divider')
};
export type Lift = ActOf<'lift', typeof fields>;

export const lift = defineAct({
  kind: 'lift',
  group: 'move',
  fields,
  also: ['remove divider', 'pull', 'column out'],
  usually: { each: 0.5 },
  apply: (act, stand) => ({ stand: act.what === 'divider' ? levelled(stand) : stand, problems: [] }),
  words: (act, { cavities }) => ({
    line: `lift the ${act.what}`,
    act: 'Lift',
    rest: `the ${act.what} out of ${cavities}`,
    hint: 'straight up, in one pull',
    confirm: 'Lifted'
  })
});
