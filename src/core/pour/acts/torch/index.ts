import { defineAct } from '../../define';
import { fields, type Torch } from './fields';

export type { Torch };

export const torch = defineAct({
  kind: 'torch',
  group: 'wait',
  fields,
  also: ['flame', 'bubbles', 'fire'],
  traits: ['flame', 'clears'],
  usually: { each: 0.2 },
  words: (act, { cavities }) => ({
    line: `torch ${act.seconds} s`,
    act: 'Torch',
    rest: `${cavities}, ${act.seconds} s`,
    hint: 'brief, moving, from a hand’s breadth; never near alcohol',
    confirm: 'Torched'
  })
});
