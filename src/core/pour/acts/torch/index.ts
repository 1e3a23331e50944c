import { defineAct } from '../../define';
import { count, type ActOf } from '../../fields';

/** A brief flame over the surface, for bubbles or lacing. */
const fields = {
  seconds: count('Seconds', 5, 120)
};
export type Torch = ActOf<'torch', typeof fields>;

export const torch = defineAct({
  kind: 'torch',
  group: 'wait',
  fields,
  also: ['flame', 'bubbles', 'fire'],
  traits: ['flame'],
  usually: { each: 0.2 },
  words: (act, { cavities }) => ({
    line: `torch ${act.seconds} s`,
    act: 'Torch',
    rest: `${cavities}, ${act.seconds} s`,
    hint: 'brief, moving, from a hand’s breadth; never near alcohol',
    confirm: 'Torched'
  })
});
